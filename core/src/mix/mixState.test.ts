import type { Formula } from '../formula/formula'
import { heatFindings, mixCourse } from './mixCourse'
import { mixState, volumeFor } from './mixState'
import type { MixEvent } from './mixEvent'
import { askAbout } from './askAbout'
import { levelSpoons, onPan } from './onPan'
import { whatCounts } from './whatCounts'

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
  expect(rescaled.at).toBe('more-water')
  expect(rescaled.lines[0]?.toGo).toBeCloseTo(0.4, 9)
  expect(rescaled.lines[1]?.state).toBe('in-band')
})

describe('the jar decides what is weighed', () => {
  const carbonate: Formula = {
    ...formula,
    additions: [
      { chemical: 'sodium-carbonate', grams: 100 },
      { chemical: 'metol', grams: 2 },
    ],
  }
  const from = (jarId: string, chemical: string, factor: number): MixEvent => ({
    id: jarId,
    kind: 'jar',
    step: 0,
    jarId,
    chemical,
    factor,
    lot: '26-A',
  })
  const monohydrate = from('m', 'sodium-carbonate-monohydrate', 124 / 105.99)

  test('another hydrate has its own weight and band', () => {
    const [line] = mixState(carbonate, 1000, [water, monohydrate]).lines
    expect(line).toMatchObject({ chemical: { id: 'sodium-carbonate-monohydrate' }, unit: 'g', lot: '26-A' })
    expect(line?.target).toBeCloseTo(117, 1)
    expect((line?.high ?? 0) / (line?.target ?? 1)).toBeCloseTo(1.03, 9)
  })
  test('two jars of different products add up to one dose', () => {
    const events = [water, weigh(0, 50), monohydrate, weigh(0, (50 * 124) / 105.99)]
    expect(mixState(carbonate, 1000, events).lines[0]).toMatchObject({ state: 'in-band' })
    expect(mixState(carbonate, 1000, events).lines[0]?.toGo).toBeCloseTo(0, 6)
  })
  test('what was over-weighed of a converted product is made to fit in the formula’s own terms', () => {
    const events = [water, monohydrate, weigh(0, 140.4)]
    expect(volumeFor(mixState(carbonate, 1000, events), 0)).toBeCloseTo(1200, 0)
  })
  test('a solid in place of a liquid is weighed', () => {
    const acid: Formula = { ...formula, additions: [{ chemical: 'ammonium-thiosulfate-60', millilitres: 100 }] }
    const crystals = from('c', 'sodium-thiosulfate-pentahydrate', 1.0047)
    expect(mixState(acid, 1000, [water]).lines[0]).toMatchObject({ unit: 'ml', target: 100 })
    expect(mixState(acid, 1000, [water, crystals]).lines[0]).toMatchObject({ unit: 'g' })
    expect(mixState(acid, 1000, [water, crystals]).lines[0]?.target).toBeCloseTo(133 * 1.0047, 1)
  })
})

test('a second person looks at developing agents where the darkroom wants it, again after every change', () => {
  const checked: MixEvent = { id: 'c', kind: 'checked', step: 0, by: 'odo', name: 'Odo' }
  const state = (...events: MixEvent[]) => mixState(formula, 1000, [water, ...events], true).lines[0]
  expect(state(weigh(0, 2))).toMatchObject({ needsCheck: true })
  expect(state(weigh(0, 2), checked)).toMatchObject({ needsCheck: false, checkedBy: 'Odo' })
  expect(state(weigh(0, 1.98), checked, weigh(0, 0.02))).toMatchObject({ needsCheck: true })
  const sulfite = mixState(formula, 1000, [water, weigh(0, 2), checked, dissolved(0), weigh(1, 100)], true).lines[1]
  expect(sulfite).toMatchObject({ needsCheck: false })
})

describe('the course of temperatures', () => {
  const hypo: Formula = {
    ...formula,
    startMl: 650,
    additions: [
      { chemical: 'sodium-thiosulfate-pentahydrate', grams: 240 },
      { chemical: 'potassium-alum', grams: 15, atC: 25 },
    ],
  }
  test('starts from the water as measured and again where a line has a temperature of its own', () => {
    const course = mixCourse(mixState(hypo, 1000, [{ id: 'w', kind: 'water', celsius: 48 }]))
    expect(course[0]?.beforeC).toBe(48)
    expect(course[0]?.afterC).toBeLessThan(36)
    expect(course[1]?.beforeC).toBe(25)
  })
  test('warns of what boils and of what freezes the process', () => {
    expect(heatFindings(mixState(hypo, 1000, [{ id: 'w', kind: 'water', celsius: 20 }]))).toMatchObject([
      { rule: 'heat-2', severity: 'warning', step: 0 },
    ])
    const caustic: Formula = { ...formula, startMl: 700, mixC: 50, additions: [{ chemical: 'sodium-hydroxide', grams: 200 }] }
    expect(heatFindings(mixState(caustic, 1000, [water]))).toMatchObject([{ rule: 'heat-1', severity: 'error' }])
    expect(heatFindings(mixState(formula, 1000, [water]))).toEqual([])
  })
})

describe('the pan of a scale', () => {
  const line = (...events: MixEvent[]) => mixState(formula, 1000, [water, weigh(0, 2), dissolved(0), ...events]).lines[1]!
  test('adds to what is in without being in, and can be taken off again', () => {
    expect(onPan(line(weigh(1, 60)), 30)).toMatchObject({ shown: 90, toGo: 10, over: false, band: { low: 35, high: 45 } })
    expect(onPan(line(), 106)).toMatchObject({ over: true })
    expect(onPan(line(), -0.02)).toMatchObject({ shown: 0 })
    expect(onPan(line(weigh(1, 100)), 30)).toMatchObject({ shown: 100, band: null })
  })
  test('spoons are for what may be off by more than a developer may', () => {
    expect(levelSpoons(line(), 5)).toBeCloseTo(20, 9)
    expect(levelSpoons(mixState(formula, 1000, [water]).lines[0]!, 5)).toBeNull()
    expect(levelSpoons(line(), null)).toBeNull()
  })
})

describe('what was written wrong', () => {
  const first = weigh(0, 2)
  const done = dissolved(0)

  test('a weight put right takes its place: what followed stands, the next step is where it was', () => {
    const wrong = weigh(0, 2.03)
    const right: MixEvent = { id: 'c', kind: 'weigh', step: 0, amount: 1.99, jarId: null, corrects: wrong.id }
    const state = mixState(formula, 1000, [water, wrong, done, weigh(1, 50), right])
    expect(state.lines[0]).toMatchObject({ put: 1.99, state: 'done' })
    expect([state.at, state.lines[1]?.put]).toEqual([1, 50])
  })

  test('a weight put right out of its band opens its step again', () => {
    const right: MixEvent = { id: 'c', kind: 'weigh', step: 0, amount: 0.2, jarId: null, corrects: first.id }
    expect(mixState(formula, 1000, [water, first, done, right])).toMatchObject({ at: 0, lines: [{ put: 0.2, state: 'open' }, {}] })
  })

  test('what is taken back counts as if it had never been, a second look with the weight it was for', () => {
    const look: MixEvent = { id: 'l', kind: 'checked', step: 0, by: 'p', name: 'Odo' }
    const back = (of: string): MixEvent => ({ id: `u${of}`, kind: 'undo', of })
    expect(whatCounts([water, first, look, back(first.id)])).toEqual([water])
    expect(mixState(formula, 1000, [water, first, done, back(done.id)]).lines[0]?.state).toBe('in-band')
    expect(mixState(formula, 1000, [water, back('w')]).at).toBe('water')
  })

  test('a slip of the unit is asked about, and so is more than the jar holds; a portion is not', () => {
    const line = (grams: number) => mixState({ ...formula, additions: [{ chemical: 'metol', grams }] }, 1000, [water]).lines[0]!
    expect(askAbout(line(0.6), 600)).toMatch(/^600\.0 g is 1000 times the 0\.600 g wanted/)
    expect(askAbout(line(100), 0.1)).toContain('next to nothing')
    expect(askAbout(line(100), 95, 40)).toContain('holds 40.0 g by its record')
    expect([askAbout(line(100), 25, 400), askAbout(line(100), 130, 400), askAbout(line(2), 2.1)]).toEqual([null, null, null])
  })

  test('a batch made larger says how much water to add to what was poured, before anything else', () => {
    const over = [water, weigh(0, 2), dissolved(0), weigh(1, 275)]
    const larger: MixEvent = { id: 'r', kind: 'rescale', finalMl: 2750 }
    const state = mixState(formula, 1000, [...over, larger])
    expect(state).toMatchObject({ at: 'more-water', startMl: 2062.5, moreWaterMl: 1312.5 })
    const then = mixState(formula, 1000, [...over, larger, { id: 'a', kind: 'water-added', ml: 1312.5 }])
    expect(then).toMatchObject({ at: 0, moreWaterMl: 0 })
    expect(mixState(formula, 1000, [...over, larger, { id: 'u', kind: 'undo', of: 'r' }])).toMatchObject({ at: 1, moreWaterMl: 0 })
  })
})
