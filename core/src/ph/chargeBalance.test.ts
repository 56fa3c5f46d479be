import fc from 'fast-check'
import { acids, type AcidName } from '../chemical/acids'
import { solveChargeBalance, type Solution } from './chargeBalance'

const names = Object.keys(acids) as AcidName[]
const solution = fc.record({
  ionCharge: fc.double({ min: -1, max: 2, noNaN: true }),
  acids: fc.uniqueArray(fc.record({ name: fc.constantFrom(...names), molar: fc.double({ min: 1e-4, max: 1, noNaN: true }) }), {
    maxLength: 5,
    selector: (one) => one.name,
  }),
})
const withSquares = (one: Omit<Solution, 'ionSquares'>): Solution => ({ ...one, ionSquares: Math.abs(one.ionCharge) })

test('any solution has a pH within what water allows, and an ionic strength that is none below nothing', () => {
  fc.assert(
    fc.property(solution, (one) => {
      const { ph, ionicStrength } = solveChargeBalance(withSquares(one))
      expect(ph).toBeGreaterThan(-2.1)
      expect(ph).toBeLessThan(16.1)
      expect(ionicStrength).toBeGreaterThanOrEqual(0)
    }),
  )
})

test('more of any acid’s own form never raises the pH of what is more alkaline than it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('acetic', 'boric', 'citric', 'sulfurous' as const),
      fc.double({ min: 0.001, max: 0.3, noNaN: true }),
      (name, molar) => {
        const base: Solution = { ionCharge: 0.2, ionSquares: 0.2, acids: [] }
        const once = solveChargeBalance({ ...base, acids: [{ name, molar }] }).ph
        const twice = solveChargeBalance({ ...base, acids: [{ name, molar: 2 * molar }] }).ph
        expect(twice).toBeLessThanOrEqual(once + 1e-6)
      },
    ),
  )
})

test('equal parts of an acid and its salt sit at its pKa, moved by the activities as Davies has it', () => {
  for (const [name, molar] of [
    ['acetic', 0.02],
    ['boric', 0.02],
  ] as const) {
    const { ph, ionicStrength } = solveChargeBalance({ ionCharge: molar / 2, ionSquares: molar / 2, acids: [{ name, molar }] })
    const root = Math.sqrt(ionicStrength)
    const davies = 0.509 * (root / (1 + root) - 0.3 * ionicStrength)
    expect(ph).toBeCloseTo(acids[name].pKa[0] - davies, 2)
  }
})

test('a strong acid and a strong base are as strong as their concentration', () => {
  const strong = (charge: number) => solveChargeBalance({ ionCharge: charge, ionSquares: Math.abs(charge), acids: [] }).ph
  expect(strong(-0.001)).toBeCloseTo(3.015, 2)
  expect(strong(0.001)).toBeCloseTo(10.98, 2)
  expect(strong(0)).toBeCloseTo(6.9975, 4)
})
