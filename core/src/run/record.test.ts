import { run } from '../samples'
import { recordOf } from './record'
import type { RunEvent } from './runEvent'

const at = (s: number, part: Partial<RunEvent>): RunEvent => ({
  id: `e${s}-${part.kind}`,
  seq: s,
  device: 'd',
  at: s * 1000,
  kind: 'start',
  step: 0,
  ...part,
})

test('a run stands step by step against its plan: what was reached, over, held, moved by the bath, and why', () => {
  const events = [
    at(0, {}),
    at(300, { kind: 'temperature', celsius: 21 }),
    at(560, { kind: 'hold', step: 0 }),
    at(620, { kind: 'next', step: 0 }),
    at(660, { kind: 'temperature', step: 1, celsius: 19 }),
    at(690, { kind: 'next', step: 1 }),
    at(700, { kind: 'reason', step: 0, text: 'the phone rang' }),
  ]
  const [develop, stop, fix, wash] = recordOf(run, events)
  expect(develop).toMatchObject({
    key: 'develop',
    bottle: { id: 'd1', label: 'D1' },
    plannedS: 600,
    tookS: 620,
    held: true,
    reason: 'the phone rang',
  })
  expect(develop?.movedByS).toBeLessThan(-10)
  expect(develop?.overS).toBeCloseTo(620 - (600 + develop!.movedByS), 3)
  expect(develop?.measured).toEqual([{ afterS: 300, celsius: 21 }])
  expect(stop).toMatchObject({ bottle: null, tookS: 60, overS: 0, held: false, measured: [{ afterS: 40, celsius: 19 }], reason: '' })
  expect(fix?.tookS).toBe(run.steps[2]!.seconds)
  expect(wash).toMatchObject({ tookS: null, overS: 0 })
})

test('a run without a log has its plan alone', () => {
  const steps = recordOf(run, [])
  expect(steps.map((step) => step.key)).toEqual(run.steps.map((step) => step.key))
  expect(steps.every((step) => step.tookS === null && step.measured.length === 0)).toBe(true)
})
