import fc from 'fast-check'
import { checkFormula } from './checkFormula'
import type { Addition, Formula } from './formula'
import { minimumWeighable } from './minimumWeighable'
import { scaleFormula } from './scaleFormula'
import { checkWeighing } from './weighing'

const formula = (additions: Addition[], more: Partial<Formula> = {}): Formula => ({
  id: 'f',
  name: 'Test formula',
  family: 'film-developer',
  finalMl: 1000,
  startMl: 750,
  mixC: 50,
  additions,
  ...more,
})
const g = (chemical: string, grams: number, more: Partial<Addition> = {}): Addition => ({ chemical, grams, ...more })
const borax = [g('sodium-sulfite', 3), g('metol', 2), g('sodium-sulfite', 97), g('hydroquinone', 5), g('borax-decahydrate', 2)]
const hypo = g('sodium-thiosulfate-pentahydrate', 240)
const hardening = [
  hypo,
  g('sodium-sulfite', 15),
  { chemical: 'acetic-acid-28', millilitres: 47 },
  g('boric-acid', 7.5),
  g('potassium-alum', 15, { atC: 25 }),
]

/** Rule, severity and step of each finding. */
const found = (one: Formula) => checkFormula(one).map(({ rule, severity, step }) => [rule, severity, step])

describe('checkFormula', () => {
  test('a sound developer and a sound hardening fixer have nothing to say about', () => {
    expect(found(formula(borax))).toEqual([])
    expect(found(formula(hardening))).toEqual([])
    expect(found(formula([], { finalMl: 1000, startMl: 0 }))).toEqual([])
  })

  test.each<[string, Formula, [string, string, number | undefined]]>([
    ['starting with all the water', formula(borax, { startMl: 1000 }), ['mix-1', 'error', undefined]],
    ['starting with too little', formula(borax, { startMl: 600 }), ['mix-1', 'advice', undefined]],
    ['liquids that count towards the start', formula([{ chemical: 'acetic-acid-28', millilitres: 150 }]), ['mix-1', 'advice', undefined]],
    ['metol after the sulfite', formula([g('sodium-sulfite', 100), g('metol', 2)]), ['mix-2', 'error', 1]],
    ['metol after more than a pinch', formula([g('sodium-sulfite', 3.1), g('metol', 2), g('sodium-sulfite', 97)]), ['mix-2', 'error', 1]],
    ['metol without a pinch', formula([g('metol', 2), g('sodium-sulfite', 100)]), ['mix-2', 'advice', 0]],
    ['hydroquinone before the sulfite', formula([g('hydroquinone', 5), g('sodium-sulfite', 50)]), ['mix-3', 'warning', 0]],
    [
      'alkali before the developing agent',
      formula([g('sodium-sulfite', 50), g('sodium-carbonate', 30), g('hydroquinone', 5)]),
      ['mix-4', 'warning', 1],
    ],
    [
      'restrainer before the alkali',
      formula([g('sodium-sulfite', 50), g('hydroquinone', 5), g('potassium-bromide', 1), g('sodium-carbonate', 30)]),
      ['mix-4', 'advice', 2],
    ],
    [
      'benzotriazole into cool water',
      formula([g('sodium-sulfite', 50), g('hydroquinone', 5), g('benzotriazole', 0.2, { atC: 20 })]),
      ['mix-4', 'advice', 2],
    ],
    ['phenidone into cool water', formula([g('sodium-sulfite', 50), g('phenidone', 0.5)], { mixC: 30 }), ['mix-5', 'warning', 1]],
    ['ascorbate in tap water', formula([g('ascorbic-acid', 10, { atC: 25 })]), ['mix-6', 'warning', 0]],
    ['ascorbate in hot water', formula([g('sodium-ascorbate', 10)], { water: 'deionised' }), ['mix-6', 'warning', 0]],
    [
      'EDTA with ascorbate',
      formula([g('edta-disodium', 1), g('sodium-ascorbate', 10, { atC: 25 })], { water: 'deionised' }),
      ['mix-6', 'warning', 0],
    ],
    [
      'acid onto bicarbonate',
      formula([g('sodium-bicarbonate', 10), g('ascorbic-acid', 10, { atC: 25 })], { water: 'deionised' }),
      ['mix-6', 'warning', 1],
    ],
    ['acid into thiosulfate without sulfite', formula([hypo, g('citric-acid', 10)]), ['mix-7', 'error', 1]],
    ['thiosulfate into acid without sulfite', formula([g('citric-acid', 10), hypo]), ['mix-7', 'error', 1]],
    [
      'alum before the acid',
      formula([hypo, g('sodium-sulfite', 15), g('potassium-alum', 15, { atC: 25 }), { chemical: 'acetic-acid-28', millilitres: 47 }]),
      ['mix-7', 'error', 2],
    ],
    ['alum into a warm fixer', formula(hardening.map((line) => ({ ...line, atC: 45 }))), ['mix-7', 'warning', 4]],
    ['hydroxide without water', formula([g('sodium-hydroxide', 10)], { startMl: 0, mixC: 15 }), ['mix-8', 'error', 0]],
    ['hydroxide into warm water', formula([g('sodium-hydroxide', 10)], { mixC: 40 }), ['mix-8', 'warning', 0]],
    ['hydroxide that boils itself up', formula([g('sodium-hydroxide', 100)], { mixC: 25, startMl: 650 }), ['mix-8', 'warning', 0]],
  ])('%s is found', (_name, one, wanted) => expect(found(one)).toContainEqual(wanted))

  test.each<[string, Formula, string]>([
    ['phenidone in hot water', formula([g('sodium-sulfite', 50), g('phenidone', 0.5)]), 'mix-5'],
    [
      'phenidone after the alkali',
      formula([g('sodium-sulfite', 50), g('sodium-carbonate', 30), g('phenidone', 0.5)], { mixC: 30 }),
      'mix-4',
    ],
    [
      'phenidone from a glycol stock',
      formula([g('sodium-sulfite', 50), { chemical: 'phenidone', millilitres: 20, percent: 1 }], { mixC: 30 }),
      'mix-5',
    ],
    ['ascorbate behind DTPA', formula([{ chemical: 'dtpa-pentasodium', millilitres: 2 }, g('sodium-ascorbate', 10, { atC: 25 })]), 'mix-6'],
    ['a little hydroxide in cold water', formula([g('sodium-hydroxide', 2)], { mixC: 20 }), 'mix-8'],
    ['acid behind sulfite in a fixer', formula([hypo, g('sodium-sulfite', 15), g('citric-acid', 10)]), 'mix-7'],
  ])('%s is not', (_name, one, rule) => expect(checkFormula(one).map((finding) => finding.rule)).not.toContain(rule))

  test('the worst comes first, and nonsense is refused', () => {
    const severities = checkFormula(formula([g('metol', 2), g('sodium-sulfite', 100)], { startMl: 1000 })).map(
      (finding) => finding.severity,
    )
    expect(severities).toEqual(['error', 'advice'])
    expect(() => checkFormula(formula([{ chemical: 'metol' }]))).toThrow(expect.objectContaining({ code: 'invalid-addition' }))
    expect(() => checkFormula(formula([g('metol', NaN)]))).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('scaleFormula', () => {
  test('is linear in the volume and leaves temperatures and percentages alone', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 1e6, noNaN: true }), fc.double({ min: 1, max: 1e6, noNaN: true }), (a, b) => {
        const once = scaleFormula(formula(hardening), a + b)
        const parts = [scaleFormula(formula(hardening), a), scaleFormula(formula(hardening), b)]
        once.additions.forEach((line, i) => {
          const sum = parts.reduce((total, part) => total + (part.additions[i]?.grams ?? part.additions[i]?.millilitres ?? 0), 0)
          expect((line.grams ?? line.millilitres ?? 0) / sum).toBeCloseTo(1, 9)
          expect(line.atC).toBe(hardening[i]?.atC)
        })
        expect(once.startMl / once.finalMl).toBeCloseTo(0.75, 9)
      }),
    )
  })
  test('refuses a volume of nothing', () =>
    expect(() => scaleFormula(formula(borax), 0)).toThrow(expect.objectContaining({ code: 'out-of-range' })))
})

describe('what the scale can weigh', () => {
  test('follows the rule for the lower limit of a balance', () => {
    expect(minimumWeighable(0.1, 0.05)).toBeCloseTo(1.64, 6)
    expect(minimumWeighable(0.1, 0.02)).toBeCloseTo(4.1, 6)
  })
  test('smaller amounts get the volume of a stock solution that holds them', () => {
    const findings = checkWeighing(formula([g('potassium-bromide', 0.5), g('sodium-sulfite', 50)]), 0.1)
    expect(findings.map((finding) => finding.step)).toEqual([0])
    expect(findings[0]?.message).toContain('5 ml of a 10 % stock solution')
  })
})
