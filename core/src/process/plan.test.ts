import { readPlan } from './plan'

const agitation = { name: 'gentle', firstS: 30, forS: 10, everyS: 60 }
const step = {
  kind: 'develop',
  name: 'Develop',
  bath: 'film-developer',
  time: 'chart',
  toleranceC: 0.5,
  agitation,
  light: 'tank',
  drainS: 10,
  fate: 'discard',
}
const bottle = {
  id: 'b',
  name: 'D',
  label: 'D1',
  family: 'film-developer',
  parts: [1, 1],
  volumeMl: 900,
  rollsLeft: 4,
  minConcentrateMlPerRoll: 100,
}
/** as a plan was written before plans had a number */
const old = {
  processId: 'bw-negative',
  processName: 'Black-and-white negative',
  material: 'bw-film',
  vessel: { id: 'v', name: 'Tank 2', kind: 'hand', coversMl: 600 },
  films: [{ format: '135-36', count: 2 }],
  rolls: 2,
  temperatureC: 20,
  steps: [
    { ...step, seconds: 600, temperatureC: 20, volumeMl: 600, partsMl: [300, 300], bottle },
    { ...step, kind: 'stop', name: 'Water stop', bath: 'water', time: 60, seconds: 60, temperatureC: 20, volumeMl: 600, partsMl: [600] },
    {
      ...step,
      kind: 'wash',
      name: 'Wash',
      bath: 'water',
      time: 300,
      seconds: 300,
      temperatureC: 20,
      volumeMl: 600,
      partsMl: [600],
      fate: 'drain',
    },
  ],
}

test('a plan from before plans had a number is read in the shape of today', () => {
  const plan = readPlan(old)
  expect(plan).toMatchObject({ format: 2, developing: null, findings: [], vessel: { reels: 2 } })
  expect(plan.steps.map((one) => [one.waits, one.bottle?.oneShot ?? null, one.bottle?.timeFactor ?? null])).toEqual([
    [false, true, 1],
    [false, null, null],
    [true, null, null],
  ])
  // it knew families of baths, not roles
  expect(plan.steps.map((one) => [one.key, one.liquid, one.family, one.time])).toEqual([
    ['develop-1', { role: 'film-developer' }, 'film-developer', 'chart'],
    ['stop-2', 'water', 'wash', { s: 60 }],
    ['wash-3', 'water', 'wash', { s: 300 }],
  ])
})

test('a plan of today is read as it is; what is none, or comes from a later version, is refused with a sentence', () => {
  const plan = readPlan(old)
  expect(readPlan(JSON.parse(JSON.stringify(plan)))).toEqual(plan)
  for (const none of [null, {}, 'plan', { ...plan, format: 3 }, { ...plan, steps: [{}] }])
    expect(() => readPlan(none)).toThrow('its plan cannot be read here')
})
