import { catalogue } from '../chemical/catalogue'
import { comesOutBelow, saturatedAt, solubilityAt } from '../chemical/solubility'
import { checkFormula } from './checkFormula'
import type { Addition, Formula } from './formula'
import { applyRepair } from './repair'
import { containerAdvice, safetyFirst } from './safetyFirst'
import { scaleFormula } from './scaleFormula'
import { checkWeighing } from './weighing'

const formula = (additions: Addition[], more: Partial<Formula> = {}): Formula => ({
  id: 'f',
  name: 'Test formula',
  family: 'other',
  finalMl: 1000,
  startMl: 750,
  mixC: 25,
  additions,
  ...more,
})
const g = (chemical: string, grams: number, more: Partial<Addition> = {}): Addition => ({ chemical, grams, ...more })
const ml = (chemical: string, millilitres: number): Addition => ({ chemical, millilitres })
const of = (rule: string, one: Formula) => checkFormula(one).filter((finding) => finding.rule === rule)

test.each<[string, Formula, string, Formula]>([
  ['mix-9', formula([g('silver-nitrate', 10)]), 'error', formula([g('silver-nitrate', 10)], { water: 'deionised' })],
  [
    'mix-9',
    formula([g('silver-nitrate', 10), g('citric-acid', 5)], { water: 'deionised' }),
    'warning',
    formula([g('citric-acid', 5), g('silver-nitrate', 10)], { water: 'deionised' }),
  ],
  ['mix-10', formula([g('bleach-fix-powder-b', 100), g('bleach-fix-powder-a', 80)]), 'warning', formula([g('bleach-fix-powder-b', 100)])],
  ['mix-11', formula([g('borax-decahydrate', 80)]), 'error', formula([g('borax-decahydrate', 20)])],
  ['mix-11', formula([g('sodium-sulfite', 250)], { storeMinC: 10 }), 'warning', formula([g('sodium-sulfite', 100)], { storeMinC: 10 })],
  ['mix-11', formula([g('sodium-sulfite', 200)]), 'advice', formula([g('sodium-sulfite', 150)])],
  ['mix-12', formula([g('sodium-metabisulfite', 10), g('sodium-bisulfate', 5)]), 'error', formula([g('sodium-metabisulfite', 10)])],
  ['mix-12', formula([g('sodium-metabisulfite', 10)], { mixC: 41 }), 'error', formula([g('sodium-metabisulfite', 10)], { mixC: 29 })],
  [
    'mix-12',
    formula([g('potassium-metabisulfite', 10)], { mixC: 30 }),
    'warning',
    formula([g('potassium-metabisulfite', 10, { atC: 20 })], { mixC: 45 }),
  ],
  ['mix-13', scaleFormula(formula([g('powder-pack', 90, { wholePack: true })]), 500), 'warning', formula([g('powder-pack', 90)])],
  ['mix-13', formula([g('powder-pack', 90, { wholePack: true })]), 'advice', formula([g('powder-pack', 90)])],
])('%s is broken by one formula and kept by the other', (rule, breaks, severity, keeps) => {
  expect(of(rule, breaks).map((finding) => finding.severity)).toContain(severity)
  expect(of(rule, keeps)).toEqual([])
})

test('what never meets is an error of the formula, at the step where the second of the two goes in', () => {
  expect(of('never-1', formula([g('sodium-sulfide-nonahydrate', 20), g('potassium-alum', 5)]))).toEqual([
    expect.objectContaining({ severity: 'error', step: 1, message: expect.stringContaining('hydrogen sulfide') }),
  ])
  expect(of('never-7', formula([g('potassium-permanganate', 2), ml('sulfuric-acid', 100)]))).toHaveLength(1)
  expect(of('never-7', formula([ml('sulfuric-acid', 10), g('potassium-permanganate', 2)]))).toEqual([])
  // a strong acid is poured as it is sold: onto sulfite it frees the gas whatever the pH in the end
  expect(of('never-5', formula([g('sodium-sulfite', 100), ml('sulfuric-acid', 5)]))).toHaveLength(1)
  expect(of('never-5', formula([g('sodium-sulfite', 100), { chemical: 'sulfuric-acid', millilitres: 50, percent: 10 }]))).toEqual([])
  expect(of('never-2', formula([g('potassium-thiocyanate', 20), g('citric-acid', 1)], { mixC: 50 }))).toHaveLength(1)
})

describe('solubility', () => {
  const sulfite = catalogue['sodium-sulfite']!
  test('is the table’s figure where it has one, and between two runs in ln s', () => {
    expect(solubilityAt(sulfite, 20)).toBe(26)
    expect(solubilityAt(sulfite, 15)).toBeCloseTo(Math.sqrt(20 * 26), 9)
  })
  test.each([
    ['sodium-thiosulfate-pentahydrate', 896],
    ['potassium-thiocyanate', 970],
    ['citric-acid', 772],
    ['sodium-carbonate-decahydrate', 572],
    ['potassium-carbonate', 827],
    ['sodium-sulfite', 248],
  ])('a litre saturated with %s at 20 °C holds %d g', (id, grams) => expect(saturatedAt(catalogue[id]!, 20)).toBeCloseTo(grams, -0.3))
  test('adds up two products of one salt', () => {
    expect(of('mix-11', formula([g('sodium-sulfite', 150)]))).toEqual([])
    expect(of('mix-11', formula([g('sodium-sulfite', 150), g('sodium-sulfite-heptahydrate', 250)]))[0]?.severity).toBe('warning')
  })
  test('metaborate holds as much boron by 2 as by 4 water', () => {
    const boron = (id: string) => saturatedAt(catalogue[id]!, 20) / (catalogue[id]!.molarMass ?? NaN)
    expect(boron('sodium-metaborate-dihydrate') / boron('sodium-metaborate-tetrahydrate')).toBeCloseTo(1, 1)
  })
  test('outside the table says so, with the nearest figure', () => {
    expect(() => solubilityAt(catalogue['trisodium-phosphate-dodecahydrate']!, 8)).toThrow('no data at 8 °C')
    const [said] = of('mix-11', formula([g('trisodium-phosphate-dodecahydrate', 150)], { storeMinC: 8 }))
    expect(said?.message).toMatch(/no data at 8 °C; at 10 °C/)
  })
  test('names the temperature at which it comes out', () => {
    const at = comesOutBelow(sulfite, 200) ?? 0
    expect(saturatedAt(sulfite, at)).toBeCloseTo(200, 0)
    expect(of('mix-11', formula([g('sodium-sulfite', 200)]))[0]?.message).toContain(`below about ${at.toFixed(0)} °C`)
  })
  test('does not judge agents that wait for their alkali', () => {
    expect(of('mix-11', formula([g('glycin', 5)]))).not.toEqual([])
    expect(of('mix-11', formula([g('sodium-carbonate', 20), g('glycin', 5)]))).toEqual([])
  })
})

test.each<[string, Formula]>([
  ['all the water at the start', formula([g('citric-acid', 15)], { startMl: 1000 })],
  ['metol after the sulfite', formula([g('sodium-sulfite', 100), g('metol', 2)], { mixC: 50 })],
  ['no pinch before the metol', formula([g('metol', 2), g('sodium-sulfite', 100)], { mixC: 50 })],
  ['hydroquinone before the sulfite', formula([g('hydroquinone', 5), g('sodium-sulfite', 50)])],
  ['alkali before the agents', formula([g('sodium-sulfite', 50), g('sodium-carbonate', 30), g('hydroquinone', 5)])],
  ['restrainer too early', formula([g('potassium-bromide', 1), g('sodium-sulfite', 50), g('hydroquinone', 5)])],
  ['phenidone in cool water', formula([g('phenidone', 0.5), g('sodium-sulfite', 50), g('sodium-carbonate', 20)])],
  ['ascorbate in tap water', formula([g('sodium-ascorbate', 10)])],
  ['ascorbate in hot water', formula([g('sodium-ascorbate', 10)], { water: 'deionised', mixC: 50 })],
  ['acid before the sulfite of a fixer', formula([g('sodium-thiosulfate', 150), ml('acetic-acid-28', 40), g('sodium-sulfite', 15)])],
  [
    'alum before the acid',
    formula([g('sodium-thiosulfate', 150), g('sodium-sulfite', 15), g('potassium-alum', 10), ml('acetic-acid-28', 40)]),
  ],
  ['hydroxide into warm water', formula([g('sodium-hydroxide', 10)], { mixC: 45 })],
  ['silver in tap water', formula([g('silver-nitrate', 10)])],
  ['second part of a bleach-fix first', formula([g('bleach-fix-powder-b', 100), g('bleach-fix-powder-a', 80)])],
  ['carbonate beyond its solubility', formula([g('sodium-carbonate', 250)], { mixC: 20 })],
  ['metabisulfite in hot water', formula([g('sodium-metabisulfite', 10)], { mixC: 45 })],
])('the repair offered for %s answers its finding and keeps every gram', (_name, broken) => {
  const finding = checkFormula(broken).find((one) => one.repair)
  if (!finding?.repair) throw new Error('no repair was offered')
  const mended = applyRepair(broken, finding.repair)
  const same = (one: Formula) =>
    of(finding.rule, one).filter((other) => other.severity === finding.severity && other.message === finding.message)
  expect(same(mended)).toEqual([])
  const total = (one: Formula) => one.additions.reduce((sum, addition) => sum + (addition.grams ?? addition.millilitres ?? 0), 0)
  if (finding.repair.kind !== 'substitute') expect(total(mended)).toBeCloseTo(total(broken), 9)
})

test('what is too little for the scale is drawn from a stock solution of the same grams', () => {
  const small = formula([g('phenidone', 0.2)], { mixC: 45 })
  const [said] = checkWeighing(small, 0.1)
  const mended = applyRepair(small, said!.repair!)
  expect(mended.additions).toEqual([{ chemical: 'phenidone', percent: 1, millilitres: 20, note: 'dissolved in propylene glycol' }])
  expect(checkWeighing(mended, 0.1)).toEqual([])
})

test('caustics, concentrated acids and dichromate are not mixed alone; the bottle is said with the mix', () => {
  expect(safetyFirst(formula([g('sodium-hydroxide', 20)])).join(' ')).toMatch(/Not alone.*eyewash.*hydroxide/)
  expect(safetyFirst(formula([g('sodium-sulfite', 20)]))).toEqual([])
  for (const id of ['ammonia-solution', 'acetic-acid-28', 'sodium-sulfide-nonahydrate', 'silver-nitrate', 'potassium-permanganate'])
    expect([id, safetyFirst(formula([g(id, 20)])).length]).toEqual([id, 3])
  const drawn = (percent: number) => formula([{ chemical: 'sodium-hydroxide', millilitres: 10, percent }])
  expect([safetyFirst(drawn(10)).length, safetyFirst(drawn(1)).length]).toEqual([3, 0])
  expect(containerAdvice(formula([g('sodium-hydroxide', 20)])).join(' ')).toMatch(/Polyethylene/)
  expect(containerAdvice(formula([g('bleach-fix-powder-a', 20)])).join(' ')).toMatch(/vented/)
  expect(containerAdvice(formula([g('sodium-sulfite', 20)]))).toContain('Full to the neck.')
})

describe('mixing rules by amount', () => {
  const fixer = (sulfite: number, acidMl: number) =>
    formula([g('sodium-thiosulfate', 150), g('sodium-sulfite', sulfite), ml('acetic-acid-28', acidMl)])
  test('too little sulfite for the acid brings sulfur out, a whiff of acid does not', () => {
    expect(of('mix-7', fixer(15, 48))).toEqual([])
    expect(of('mix-7', fixer(1, 48))[0]).toMatchObject({ severity: 'error', message: expect.stringContaining('too little sulfite') })
    expect(of('mix-7', fixer(0, 0.5))).toEqual([])
  })
  test('alum wants a bath that is acid enough, not merely an acid in it', () => {
    const hardened = (acidMl: number) =>
      formula([g('sodium-thiosulfate', 150), g('sodium-sulfite', 15), ml('acetic-acid-28', acidMl), g('potassium-alum', 10)], { mixC: 25 })
    expect(of('mix-7', hardened(48))).toEqual([])
    expect(of('mix-7', hardened(4)).map((one) => one.severity)).toContain('error')
  })
  test('sulfuric acid into a little water is an error, into much a warning at most', () => {
    const acid = (startMl: number) => of('mix-8', formula([ml('sulfuric-acid', 100)], { startMl, mixC: 20 })).map((one) => one.severity)
    expect(acid(200)).toEqual(['error'])
    expect(acid(800)).not.toContain('error')
  })
  test('a concentrate in glycol or triethanolamine may be heated with its ascorbate, and has no water to start with', () => {
    const concentrate = formula([ml('triethanolamine', 900), g('ascorbic-acid', 80)], { startMl: 0, mixC: 80 })
    expect(of('mix-6', concentrate)).toEqual([])
    expect(of('mix-1', concentrate)).toEqual([])
    expect(of('mix-6', formula([ml('triethanolamine', 100), g('ascorbic-acid', 80)], { mixC: 80 }))).not.toEqual([])
  })
  test('a bought concentrate that is the whole of it has no water to start with either; one that is diluted has', () => {
    expect(of('mix-1', formula([ml('selenium-toner-concentrate', 1000)], { startMl: 0 }))).toEqual([])
    expect(of('mix-1', formula([ml('selenium-toner-concentrate', 1000), g('sodium-sulfite', 1)], { startMl: 0 }))).not.toEqual([])
  })
  test('a bought mixture with sulfite in it does not stop the other rules', () =>
    expect(() => checkFormula(formula([g('metol', 2), g('bleach-fix-powder-b', 50)]))).not.toThrow())
})

test('an agent that oxidises in water is not drawn from a stock solution, but from glycol where that keeps it', () => {
  const of = (...additions: Formula['additions']): Formula => ({
    id: 'f',
    name: 'F',
    family: 'film-developer',
    finalMl: 1000,
    startMl: 750,
    mixC: 45,
    additions,
  })
  const small = (chemical: string) => of({ chemical, grams: 0.2 })
  const [metol] = checkWeighing(small('metol'), 0.1)
  expect([metol?.repair, metol?.message]).toEqual([undefined, expect.stringContaining('or take a finer scale')])
  const [phenidone] = checkWeighing(small('phenidone'), 0.1)
  expect(phenidone?.message).toContain('stock solution in propylene glycol')
  expect(applyRepair(small('phenidone'), phenidone!.repair!).additions[0]).toMatchObject({
    percent: 1,
    note: 'dissolved in propylene glycol',
  })
  const drawn = of({ chemical: 'hydroquinone', millilitres: 10, percent: 5 })
  expect(checkWeighing(drawn, 0.1).map((one) => one.rule)).toEqual(['scale-2'])
})
