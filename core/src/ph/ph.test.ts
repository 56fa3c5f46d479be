import fc from 'fast-check'
import { airOxidation } from './oxidation'
import { estimatePh } from './estimatePh'
import { explainReading } from './explainReading'

const borax = { metol: 2, hydroquinone: 5, 'sodium-sulfite': 100, 'borax-decahydrate': 2 }
const buffers: [string, Record<string, number>, number][] = [
  ['phosphate', { 'potassium-dihydrogen-phosphate': 0.025 * 136.09, 'disodium-phosphate': 0.025 * 141.96 }, 6.86],
  ['borax 0.01 mol/L', { 'borax-decahydrate': 3.8137 }, 9.18],
  ['carbonate', { 'sodium-bicarbonate': 0.025 * 84.01, 'sodium-carbonate': 0.025 * 105.99 }, 10.01],
  ['acetic acid 0.1 mol/L', { 'acetic-acid-glacial': 6.005 / 0.997 }, 2.88],
]
test.each(buffers)('%s comes within 0.05 of its tabulated value', (_name, amounts, tabulated) => {
  const { ph, uncertainty } = estimatePh(amounts)
  expect(Math.abs(ph - tabulated)).toBeLessThanOrEqual(0.05)
  expect(uncertainty).toBe(0.05)
})

test.each<[string, Record<string, number>, number, number]>([
  ['borax-buffered metol–hydroquinone developer', borax, 8.4, 8.7],
  ['metol and sulfite alone', { metol: 7.5, 'sodium-sulfite': 100 }, 7.8, 8.1],
  [
    'carbonate print developer',
    { metol: 3, hydroquinone: 12, 'sodium-sulfite': 45, 'sodium-carbonate-monohydrate': 80, 'potassium-bromide': 2 },
    10.1,
    10.5,
  ],
  [
    'acid hardening fixer',
    { 'sodium-thiosulfate-pentahydrate': 240, 'sodium-sulfite': 15, 'acetic-acid-28': 48.7, 'boric-acid': 7.5, 'potassium-alum': 15 },
    4,
    5.2,
  ],
])('%s lies in its range', (_name, amounts, low, high) => {
  const { ph } = estimatePh(amounts)
  expect(ph).toBeGreaterThan(low)
  expect(ph).toBeLessThan(high)
})

test('water has nothing that buffers it: its pH is anybody’s guess within 1', () =>
  expect(estimatePh({})).toMatchObject({ ph: expect.closeTo(7, 2), uncertainty: 1 }))

test('moves with the temperature as its acids do', () => {
  const hydroxide = { 'sodium-hydroxide': 10 }
  expect(estimatePh(hydroxide).ph).toBeCloseTo(13.26, 1)
  expect(Math.abs(estimatePh(hydroxide, { atC: 45 }).ph - 12.7)).toBeLessThanOrEqual(0.05)
  expect(Math.abs(estimatePh({ 'borax-decahydrate': 3.8137 }, { atC: 35 }).ph - 9.1)).toBeLessThanOrEqual(0.03)
  // what nobody has measured makes the answer wider, and only where it takes part
  const dimezone = { 'dimezone-s': 10, 'sodium-carbonate': 5 }
  expect(estimatePh(dimezone, { atC: 35 }).uncertainty).toBeCloseTo(estimatePh(dimezone).uncertainty + 0.2, 9)
  expect(estimatePh(borax, { atC: 35 }).uncertainty).toBe(estimatePh(borax).uncertainty)
  expect(() => estimatePh(borax, { atC: 140 })).toThrow(expect.objectContaining({ code: 'out-of-range' }))
})

test('says how far it may be off: alum most, a plain buffer least', () => {
  expect(estimatePh({ ...borax }).uncertainty).toBe(0.3)
  expect(estimatePh({ 'potassium-alum': 10 }).uncertainty).toBe(0.6)
  // nothing buffers it
  expect(estimatePh({ 'sodium-chloride': 30 }).uncertainty).toBe(1)
  expect(estimatePh({ thiourea: 1, 'borax-decahydrate': 2 }).uncertainty).toBe(0.3)
})

test('refuses what it has no data for and names it; a pinch of sequestrant is left out', () => {
  expect(() => estimatePh({ glycin: 2, 'copper-sulfate-pentahydrate': 1, metol: 1 })).toThrow(
    expect.objectContaining({ code: 'no-data', chemicals: ['glycin', 'copper-sulfate-pentahydrate'] }),
  )
  expect(() => estimatePh({ 'sodium-hexametaphosphate': 2.1 })).toThrow(expect.objectContaining({ code: 'no-data' }))
  expect(estimatePh({ 'sodium-hexametaphosphate': 2 }).ph).toBeCloseTo(7, 1)
  expect(() => estimatePh({ metol: -1 })).toThrow(expect.objectContaining({ code: 'out-of-range' }))
})

test('hydrates and salts of equal strength give the same pH', () => {
  const anhydrous = estimatePh({ ...borax, 'sodium-carbonate': 20 }).ph
  expect(estimatePh({ ...borax, 'sodium-carbonate-monohydrate': (20 * 124) / 105.99 }).ph).toBeCloseTo(anhydrous, 6)
})

const soup = [
  'metol',
  'hydroquinone',
  'sodium-sulfite',
  'borax-decahydrate',
  'sodium-carbonate',
  'citric-acid',
  'acetic-acid-28',
  'potassium-alum',
  'edta-disodium',
  'disodium-phosphate',
  'ammonium-chloride',
]
test('pH never falls when hydroxide is added, whatever is in the jug', () => {
  const amounts = fc.dictionary(fc.constantFrom(...soup), fc.double({ min: 0, max: 120, noNaN: true }), { maxKeys: 6 })
  fc.assert(
    fc.property(
      amounts,
      fc.double({ min: 0, max: 40, noNaN: true }),
      fc.double({ min: 0.001, max: 40, noNaN: true }),
      (mix, first, more) => {
        const before = estimatePh({ ...mix, 'sodium-hydroxide': first }).ph
        expect(estimatePh({ ...mix, 'sodium-hydroxide': first + more }).ph).toBeGreaterThanOrEqual(before - 1e-6)
      },
    ),
    { numRuns: 300 },
  )
})

describe('airOxidation', () => {
  test('a weakly buffered borax developer creeps up as published', () => {
    const points = airOxidation(borax, [0, 0.2, 0.5, 1])
    const published = [8.65, 8.87, 9.17, 9.61]
    points.forEach((point, i) => expect(Math.abs(point.ph - (published[i] ?? 0))).toBeLessThan(0.03))
  })
  test('with a boric acid–borax pair it hardly moves', () => {
    const pair = { metol: 2, hydroquinone: 5, 'sodium-sulfite': 100, 'borax-decahydrate': 8, 'boric-acid': 8 }
    const [fresh, half] = airOxidation(pair, [0, 0.5])
    expect((half?.ph ?? 9) - (fresh?.ph ?? 0)).toBeLessThan(0.25)
  })
  test('ends where the sulfite does, and says where there is nothing to oxidise', () => {
    expect(airOxidation({ hydroquinone: 11.011, 'sodium-sulfite': 12.604 }, [0, 0.25, 0.5, 0.75, 1]).map((point) => point.share)).toEqual([
      0, 0.25, 0.5,
    ])
    expect(() => airOxidation({ metol: 2, 'sodium-sulfite': 50 }, [0])).toThrow(expect.objectContaining({ code: 'no-hydroquinone' }))
  })
})

describe('explainReading', () => {
  test('finds the slip that gives the reading and ranks it first', () => {
    const twice = estimatePh({ ...borax, 'borax-decahydrate': 4 }).ph
    const { causes } = explainReading(borax, twice)
    expect(causes[0]).toMatchObject({ chemical: 'borax-decahydrate', slip: 'twice' })
    expect(causes.map((cause) => cause.off)).toEqual([...causes.map((cause) => cause.off)].sort((a, b) => a - b))
  })
  test('knows another hydrate taken gram for gram', () => {
    const print = { metol: 3, hydroquinone: 12, 'sodium-sulfite': 45, 'sodium-carbonate': 60 }
    const read = estimatePh({ metol: 3, hydroquinone: 12, 'sodium-sulfite': 45, 'sodium-carbonate-decahydrate': 60 }).ph
    expect(explainReading(print, read).causes[0]).toMatchObject({ slip: 'other-product', instead: 'sodium-carbonate-decahydrate' })
  })
  test('a reading within the uncertainty is not outside', () => {
    expect(explainReading(borax, 8.7).outside).toBe(false)
    expect(explainReading(borax, 9.5).outside).toBe(true)
  })
})
