import type { PlanStep } from '../process/load'
import { run } from '../samples'
import { wasteFamilies } from './drumIds'
import { dischargeOf } from './discharge'
import { drumCheck } from './drumCheck'
import { firstWashes } from './firstWash'
import { freedMoles, gasPpm } from './gas'
import { meeting, reactions } from './meeting'
import { electrolysisG, recoveryAdvice, recoveryBalance } from './recovery'
import { silverFrom } from './silverFrom'
import { washAway } from './washAway'

test('14 families are 91 pairs: 54 never meet, 37 stand apart, and the order does not matter', () => {
  const pairs = wasteFamilies.flatMap((one, i) => wasteFamilies.slice(i + 1).map((other) => [one, other] as const))
  const verdicts = pairs.map(([one, other]) => meeting(one, other))
  expect(pairs).toHaveLength(91)
  expect(verdicts.filter((one) => one.verdict === 'block')).toHaveLength(54)
  expect(verdicts.filter((one) => one.verdict === 'apart')).toHaveLength(37)
  expect(pairs.map(([one, other]) => meeting(other, one))).toEqual(verdicts)
  expect(wasteFamilies.map((one) => meeting(one, one).verdict)).toEqual(Array(14).fill('same'))
  for (const { reaction } of verdicts) expect(reaction === undefined || reactions[reaction - 1] !== undefined).toBe(true)
  expect([meeting('sul', 'sil').reaction, meeting('cop', 'mno').reaction, meeting('acid', 'oxa').reaction]).toEqual([1, 5, 11])
})

test('the gas a block would free, all of it, in the air of the room', () => {
  const roomM3 = 28.8
  const ppm = (reaction: number, chemical: string, grams: number): number =>
    gasPpm({ moles: freedMoles(reaction, [{ chemical, grams }]) ?? NaN, roomM3 })
  expect(ppm(1, 'sodium-sulfide-nonahydrate', 20)).toBeCloseTo(69.6, 1)
  expect(ppm(3, 'potassium-ferricyanide', 10)).toBeCloseTo(152, 0)
  // two of a kind add up; what frees none, or whose make-up nobody knows, says nothing
  expect(freedMoles(1, [{ chemical: 'citric-acid', grams: 20 }])).toBeNull()
  expect(freedMoles(1, [{ chemical: 'polysulfide', grams: 20 }])).toBeNull()
  expect(freedMoles(8, [{ chemical: 'sodium-hydroxide', grams: 20 }])).toBeNull()
  const sulfite = freedMoles(2, [{ chemical: 'sodium-sulfite', grams: 126.04 }]) ?? 0
  expect([sulfite, freedMoles(2, [{ chemical: 'sodium-metabisulfite', grams: 190.11 }])].map((one) => Number(one?.toFixed(2)))).toEqual([
    1, 2,
  ])
  expect(() => gasPpm({ moles: 1, roomM3: 0 })).toThrow(/room/)
})

test('silver goes by what was fixed, and the first washes carry it on', () => {
  expect(silverFrom({ loads: [{ kind: 'bw-roll', count: 20 }] })).toBeCloseTo(3.61, 2)
  const each = (['bw-roll', 'colour-roll', 'sheet-4x5', 'print', 'iron-silver'] as const).map((kind) =>
    silverFrom({ loads: [{ kind, count: 1 }] }),
  )
  expect(each.map((grams) => Number(grams.toFixed(3)))).toEqual([0.181, 0.258, 0.045, 0.058, 0.034])
  const washes = firstWashes({ bathGPerL: 3, carryMl: 15, fillMl: 300, fills: 3 })
  expect(washes.map((one) => Number(one.silver.toPrecision(3)))).toEqual([143, 6.8, 0.324])
  expect(washes.map((one) => one.toDrum)).toEqual([true, true, false])
})

test('of a run’s washes what carries too much silver is caught: each fill, past another bath, not running water', () => {
  const steps = run.steps.filter((step) => step.kind !== 'wash' && step.kind !== 'rinse')
  const fixed = steps.findLastIndex((step) => step.kind === 'fix')
  const water = (changes?: number): PlanStep => {
    const { changes: _, ...step } = run.steps.find((one) => one.liquid === 'water')!
    const { inversions: __, ...agitation } = step.agitation
    return { ...step, kind: 'wash', agitation, ...(changes === undefined ? {} : { changes }) }
  }
  const after = (...washes: PlanStep[]) =>
    washAway({ ...run, steps: [...steps.slice(0, fixed + 1), ...washes] }, { bathGPerL: 3, limitMgPerL: 1 })
  const aid = { ...run.steps.find((step) => step.kind === 'fix')!, kind: 'wash-aid' as const }
  expect(after(water(3))).toMatchObject({ fills: 2, ml: 2 * run.vessel.coversMl })
  expect(after(water(1), aid, water(3))?.fills).toBe(1)
  expect([after(water()), after(water(), water(3)), after()]).toEqual([null, null, null])
  expect(washAway({ ...run, steps: [] }, { bathGPerL: 3, limitMgPerL: 1 })).toBeNull()
})

test('a drum is weighed against its lines', () => {
  const check = (readingKg: number, ledgerMl = 15_000) => drumCheck({ ledgerMl, tareKg: 1.2, readingKg, gPerMl: 1.05 })
  // 4 % off, and more than half a litre
  expect(check(17.58).ml).toBeCloseTo(15_600, 6)
  expect(check(17.58).findings.map((one) => one.rule)).toEqual(['drum-weight'])
  expect(check(17.3).findings).toEqual([])
  // less than half a litre, and more than 5 %
  expect(check(3.67, 2_000).findings).toHaveLength(1)
  expect(check(1).findings[0]?.message).toMatch(/less than the empty drum/)
})

test('what a current deposits, and whether the silver that left was found', () => {
  expect(electrolysisG({ amps: 2, hours: 3, efficiency: 0.75 })).toBeCloseTo(18.1, 1)
  const balance = (grams: number) => recoveryBalance({ litres: 10, inGPerL: 4, outGPerL: 0.5, grams, assay: 0.9 })
  expect([balance(38.9).leftG, balance(38.9).findings]).toEqual([35, []])
  expect(balance(30).findings).toHaveLength(1)
  expect(balance(50).findings).toHaveLength(1)
  expect(recoveryBalance({ litres: 1, inGPerL: 1, outGPerL: 2, grams: 0, assay: 1 }).findings[0]?.message).toMatch(/more silver after/)
})

test('current is switched off in time, and a spent cartridge is sealed', () => {
  const rules = (method: 'electrolysis' | 'exchange', outGPerL: number) => recoveryAdvice({ method, outGPerL }).map((one) => one.rule)
  expect([rules('electrolysis', 0.5), rules('electrolysis', 0.4)]).toEqual([[], ['recovery-stop']])
  expect([rules('exchange', 0.1), rules('exchange', 0.11)]).toEqual([[], ['recovery-spent']])
})

test('nothing goes down the drain but what a paper allows, until it ends', () => {
  const rule = { family: 'dev' as const, mlADay: 500, dilution: 10, minutes: 5, paper: 'Letter of the water authority', ends: '2026-04-14' }
  const on = (day: string, septic = false) => dischargeOf('dev', [rule], { day, septic })
  expect([on('2026-04-14'), on('2026-04-15'), on('2026-04-14', true)]).toEqual([rule, null, null])
  expect(dischargeOf('sil', [rule], { day: '2026-04-14', septic: false })).toBeNull()
})
