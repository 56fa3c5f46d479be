import type { Formula } from '../formula/formula'
import { mixState, volumeFor, type MixEvent } from './mixState'

const formula: Formula = {
  id: 'f',
  name: 'F',
  family: 'film-developer',
  finalMl: 1000,
  startMl: 750,
  mixC: 50,
  additions: [
    { chemical: 'metol', grams: 2 },
    { chemical: 'sodium-sulfite', grams: 100 },
  ],
}
let n = 0
const weigh = (step: number, amount: number): MixEvent => ({ id: `${n++}`, kind: 'weigh', step, amount, jarId: null })
const dissolved = (step: number): MixEvent => ({ id: `${n++}`, kind: 'dissolved', step })
const water: MixEvent = { id: 'w', kind: 'water', celsius: 50 }

test('goes water, additions in order, top-up, bottle', () => {
  const events: MixEvent[] = []
  const at = () => mixState(formula, 2500, events).at
  expect(at()).toBe('water')
  events.push(water)
  expect(at()).toBe(0)
  events.push(weigh(0, 5))
  expect(mixState(formula, 2500, events).lines[0]).toMatchObject({ target: 5, put: 5, state: 'in-band' })
  events.push(dissolved(0))
  expect(at()).toBe(1)
  events.push(weigh(1, 150), weigh(1, 100), dissolved(1))
  expect(at()).toBe('top-up')
  events.push({ id: 't', kind: 'topped-up' })
  expect(at()).toBe('bottle')
})

test('the band is the tolerance of the role, its ends included', () => {
  const state = (grams: number) => mixState(formula, 1000, [water, weigh(0, 2), dissolved(0), weigh(1, grams)]).lines[1]?.state
  expect([94.9, 95, 105, 105.1].map(state)).toEqual(['open', 'in-band', 'in-band', 'too-much'])
})

test('over-weighing is answered by a batch it is right for; what is in already then lacks its share', () => {
  const events = [water, weigh(0, 2), dissolved(0), weigh(1, 120)]
  const over = mixState(formula, 1000, events)
  expect(over.lines[1]?.state).toBe('too-much')
  expect(volumeFor(over, 1)).toBeCloseTo(1200, 9)
  const rescaled = mixState(formula, 1000, [...events, { id: 'r', kind: 'rescale', finalMl: volumeFor(over, 1) }])
  expect(rescaled.at).toBe(0)
  expect(rescaled.lines[0]?.toGo).toBeCloseTo(0.4, 9)
  expect(rescaled.lines[1]?.state).toBe('in-band')
})
