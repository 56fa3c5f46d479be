import { compilePlan } from '../process/compilePlan'
import { houseProcesses } from '../process/families'
import { houseIds } from '../process/families/ids'
import type { PlanBottle } from '../process/load'
import { runClock } from './clock'
import type { RunEvent } from './runEvent'

const process = houseProcesses.find((one) => one.id === houseIds['colour-negative'])!
const bottle = (id: string, family: string): PlanBottle => ({
  ...{ id, name: id, label: id, family, parts: [1], volumeMl: 1000, rollsLeft: 20, minConcentrateMlPerRoll: 0 },
  ...{ findings: [], oneShot: false, timeFactor: 1 },
})
const plan = (pushStops = 0) =>
  compilePlan(
    process,
    {
      ...{ films: [{ format: '135-36', count: 1 }], temperatureC: 37.8, chart: [], pushStops },
      vessel: { id: 'v', name: 'Tank 2', kind: 'hand', coversMl: 500, reels: 2 },
    },
    process.roles.map((role) => ({ role: role.id, bottle: bottle(role.id, role.family) })),
  )
const line = (seq: number, kind: RunEvent['kind'], at: number, step: number, celsius?: number): RunEvent => ({
  ...{ id: `l${seq}`, seq, device: 'a', at, kind, step },
  ...(celsius === undefined ? {} : { celsius }),
})
/** The tank is warm, the developer goes in at 0 and is measured a minute on. */
const measured = (celsius: number, pushStops = 0) =>
  runClock(
    plan(pushStops),
    [line(0, 'start', -300_000, 0), line(1, 'next', 0, 0), line(2, 'temperature', 60_000, 1, celsius)],
    61_000,
  ).times.at(-1)?.moved?.byS

test('a colour developer that cools or warms ends by its own table, pushed or not', () => {
  expect(measured(37.8)).toBeCloseTo(0, 3)
  expect(measured(37.3)).toBeGreaterThan(5)
  expect(measured(38.3)).toBeLessThan(-5)
  expect(measured(37.3, 1)).toBeGreaterThan(measured(37.3) ?? 0)
})
test('a bath with a fixed time does not follow its temperature', () => {
  const clock = runClock(plan(), [line(0, 'start', -300_000, 0), line(1, 'next', 0, 0), line(2, 'temperature', 200_000, 2, 30)], 201_000)
  expect([clock.step, clock.times.at(-1)?.moved]).toEqual([2, undefined])
})
