import { belowReorder, lackingFor } from './shopping'
import fc from 'fast-check'
import type { Addition, Formula } from '../formula/formula'
import { compareFormulas } from '../formula/compareFormulas'
import { costOf } from '../formula/cost'
import { scaleFormula } from '../formula/scaleFormula'
import { stockSolutionOf } from '../formula/stockSolution'
import { applyRepair } from '../formula/repair'
import { perLitre } from '../formula/perLitre'
import { substitutes } from '../formula/substitutes'
import { estimatePh } from '../ph/estimatePh'
import { shelfFindings } from './shelfFindings'
import { asOnShelf, jarFactor, type ShelfJar } from './asOnShelf'
import { batchesLeft } from './batches'
import { pricesFor } from './prices'
import { shortages } from './shortages'
import { storageGroup, storageGroups } from './storage'
import { catalogue } from '../chemical/catalogue'

const formula = (additions: Addition[], finalMl = 1000): Formula => ({
  id: 'f',
  name: 'F',
  family: 'other',
  finalMl,
  startMl: 750,
  mixC: 30,
  additions,
})
const jar = (chemical: string, grams: number, more: Partial<ShelfJar> = {}): ShelfJar => ({
  id: chemical,
  chemical,
  grams,
  assay: null,
  openedAt: 1,
  ...more,
})
const carbonate = formula([{ chemical: 'sodium-carbonate', grams: 31.6 }])

describe('the jar on the shelf decides', () => {
  test('another hydrate is converted and said', () => {
    const [taking] = asOnShelf(carbonate, [jar('sodium-carbonate-monohydrate', 500)])
    expect(taking?.grams).toBeCloseTo(37, 1)
    expect(taking?.because).toMatch(/1-water, not Sodium carbonate, anhydrous.*37/)
  })
  test('the same product comes first as long as it is enough; otherwise what is enough', () => {
    const both = [jar('sodium-carbonate-monohydrate', 500), jar('sodium-carbonate', 40)]
    expect(asOnShelf(carbonate, both)[0]?.jarId).toBe('sodium-carbonate')
    expect(asOnShelf(scaleFormula(carbonate, 2000), both)[0]?.jarId).toBe('sodium-carbonate-monohydrate')
    expect(asOnShelf(carbonate, [])[0]).toMatchObject({ jarId: null, enough: false })
  })
  test('the assay corrects the weight: 40 g of hydroxide are 66 g of ordinary potassium hydroxide pellets', () => {
    const caustic = formula([{ chemical: 'sodium-hydroxide', grams: 40 }])
    expect(asOnShelf(caustic, [jar('potassium-hydroxide', 500)])[0]?.grams).toBeCloseTo(66, 1)
    expect(asOnShelf(caustic, [jar('sodium-hydroxide', 500)])[0]?.grams).toBeCloseTo(40 / 0.97, 6)
    expect(asOnShelf(caustic, [jar('sodium-hydroxide', 500, { assay: 1 })])[0]).toMatchObject({ grams: 40, because: '' })
    expect(() => jarFactor('sodium-hydroxide', { chemical: 'sodium-hydroxide', assay: 0 })).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
  })
  test('a liquid’s catalogued content is its usual assay, and sodium for ammonium thiosulfate fixes slower', () => {
    const rapid = formula([{ chemical: 'ammonium-thiosulfate-60', millilitres: 185 }])
    expect(asOnShelf(rapid, [jar('ammonium-thiosulfate-60', 900)])[0]).toMatchObject({ factor: 1, because: '' })
    expect(asOnShelf(rapid, [jar('sodium-thiosulfate-pentahydrate', 900)])[0]?.because).toMatch(/Slower clearing/)
  })
  test('shortages count jars of the group by strength', () => {
    expect(shortages(carbonate, [jar('sodium-carbonate-monohydrate', 37)])).toEqual([])
    expect(shortages(carbonate, [jar('sodium-carbonate-monohydrate', 36)])).toHaveLength(1)
  })
})

describe('substitutes', () => {
  test('borax and hydroxide make metaborate, boron for boron', () => {
    const made = substitutes('sodium-metaborate-tetrahydrate', 137.86 * 4).at(-1)
    expect(made?.chemicals.map(({ chemical, grams }) => [chemical, Math.round(grams * 10) / 10])).toEqual([
      ['borax-decahydrate', 381.4],
      ['sodium-hydroxide', 80],
    ])
  })
  test('ascorbic acid brings bicarbonate along: 0.477 g for each gram', () => {
    const [made] = substitutes('sodium-ascorbate', 1.1249)
    expect(made?.chemicals[0]?.grams).toBeCloseTo(1, 3)
    expect(made?.chemicals[1]?.grams).toBeCloseTo(0.477, 3)
  })
  test('potassium for sodium says what follows', () => {
    const potassium = substitutes('sodium-carbonate', 10).find((one) => one.chemicals[0]?.chemical === 'potassium-carbonate')
    expect(potassium?.consequences.join()).toMatch(/Potassium in place of sodium/)
    expect(substitutes('metol', 5)).toEqual([])
  })
})

test('enough for so many batches, by the formula’s own volume', () => {
  expect(batchesLeft(carbonate, 'sodium-carbonate', [jar('sodium-carbonate', 100)])).toBe(3)
  expect(batchesLeft(carbonate, 'metol', [jar('metol', 100)])).toBeNull()
})

describe('storage', () => {
  test('every chemical has a group', () => {
    for (const chemical of Object.values(catalogue)) expect(storageGroups).toContain(storageGroup(chemical))
  })
})

describe('cost and comparison', () => {
  const prices = { 'sodium-carbonate': 12 }
  test('per batch, litre and roll; what has no price is named', () => {
    const used = {
      ...scaleFormula(
        formula([
          { chemical: 'sodium-carbonate', grams: 50 },
          { chemical: 'metol', grams: 2 },
        ]),
        2000,
      ),
      use: { school: 'counted' as const, capacityRollsPerL: 10, minConcentrateMlPerRoll: 0 },
    }
    const cost = costOf(used, prices)
    expect(cost.batch).toBeCloseTo(1.2, 9)
    expect(cost.perLitre).toBeCloseTo(0.6, 9)
    expect(cost.perRoll).toBeCloseTo(0.06, 9)
    expect(cost.unpriced).toEqual(['metol'])
  })
  test('side by side per litre; hydrates of equal strength stand on one line and still differ in name', () => {
    const one = formula([
      { chemical: 'metol', grams: 2 },
      { chemical: 'sodium-carbonate', grams: 20 },
    ])
    const other = formula(
      [
        { chemical: 'metol', grams: 4 },
        { chemical: 'sodium-carbonate-monohydrate', grams: 46.8 },
        { chemical: 'potassium-bromide', grams: 1 },
      ],
      2000,
    )
    const lines = compareFormulas(one, other)
    expect(lines.map((line) => [line.one?.chemical, line.other?.chemical, line.differs])).toEqual([
      ['metol', 'metol', false],
      ['sodium-carbonate', 'sodium-carbonate-monohydrate', true],
      [undefined, 'potassium-bromide', true],
    ])
    expect(lines[1]?.ratio).toBeCloseTo(1, 2)
  })
  test('scaling a formula scales its cost and leaves its comparison with itself without differences', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 100, noNaN: true }), (factor) => {
        const scaled = scaleFormula(carbonate, 1000 * factor)
        expect(costOf(scaled, prices).batch / costOf(carbonate, prices).batch).toBeCloseTo(factor, 6)
        expect(compareFormulas(carbonate, scaled).some((line) => line.differs)).toBe(false)
      }),
    )
  })
})

test('a plain percent solution is known by its formula', () => {
  expect(stockSolutionOf(formula([{ chemical: 'potassium-bromide', grams: 100 }]))).toEqual({ chemical: 'potassium-bromide', percent: 10 })
  expect(
    stockSolutionOf(
      formula([
        { chemical: 'metol', grams: 2 },
        { chemical: 'sodium-sulfite', grams: 100 },
      ]),
    ),
  ).toBeNull()
})

test('what the shelf lacks is answered by what makes it, as a repair of equal strength', () => {
  const metaborate = formula([{ chemical: 'sodium-metaborate-tetrahydrate', grams: 13.786 }])
  const [said] = shelfFindings(metaborate, [jar('borax-decahydrate', 500), jar('sodium-hydroxide', 500)])
  expect(said).toMatchObject({ rule: 'shelf-1', step: 0, repair: { kind: 'substitute' } })
  const mended = applyRepair(metaborate, said!.repair!)
  expect(mended.additions.map((line) => [line.chemical, Math.round((line.grams ?? 0) * 100) / 100])).toEqual([
    ['borax-decahydrate', 9.53],
    ['sodium-hydroxide', 2],
  ])
  expect(estimatePh(perLitre(mended)).ph).toBeCloseTo(estimatePh(perLitre(metaborate)).ph, 3)
  expect(shelfFindings(metaborate, [])[0]?.repair).toBeUndefined()
  expect(shelfFindings(metaborate, [jar('sodium-metaborate-dihydrate', 500)])).toEqual([])
})

test('mass is conserved: whatever the jars hold, what is taken carries the formula’s moles', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), fc.double({ min: 0.3, max: 1, noNaN: true }), (grams, assay) => {
      const one = formula([{ chemical: 'sodium-carbonate', grams }])
      const [taking] = asOnShelf(one, [jar('sodium-carbonate-decahydrate', 1e6, { assay })])
      expect(((taking?.grams ?? 0) * assay) / 286.14).toBeCloseTo(grams / 105.99, 9)
    }),
  )
})

test('the price is that of the jar it is taken from, for the work it does', () => {
  const priced = (one: ShelfJar, pricePerKg: number | null) => ({ ...one, pricePerKg })
  const monohydrate = priced(jar('sodium-carbonate-monohydrate', 500), 6.8)
  expect(pricesFor(carbonate, [monohydrate])['sodium-carbonate']).toBeCloseTo((6.8 * 124) / 105.99, 6)
  expect(pricesFor(carbonate, [monohydrate, priced(jar('sodium-carbonate', 500), 7.2)])).toEqual({ 'sodium-carbonate': 7.2 })
  expect(pricesFor(carbonate, [priced(jar('sodium-carbonate', 0), 7.2)])).toEqual({ 'sodium-carbonate': 7.2 })
  expect(pricesFor(carbonate, [priced(jar('sodium-carbonate', 500), null)])).toEqual({})
})

describe('shopping', () => {
  const held = (chemical: string, grams: number, reorderG: number | null = null) => ({ chemical, grams, reorderG, assay: null })
  test('all jars of a chemical together are measured against its highest reorder level', () => {
    expect(belowReorder([held('metol', 60, 100), held('metol', 50)])).toEqual([])
    expect(belowReorder([held('metol', 60, 100), held('metol', 30)])).toMatchObject([{ chemical: 'metol', heldG: 90, wantedG: 100 }])
  })
  test('mixes ahead are added up, and say what they are for', () => {
    const mix = (name: string, grams: number) => ({
      id: name,
      name,
      family: 'other',
      finalMl: 1000,
      startMl: 0,
      mixC: 20,
      additions: [{ chemical: 'metol', grams }],
    })
    expect(lackingFor([mix('weak', 2), mix('strong', 7.5)], [held('metol', 1)])).toMatchObject([
      { chemical: 'metol', heldG: 1, wantedG: 9.5, why: 'for weak, strong' },
    ])
  })
})
