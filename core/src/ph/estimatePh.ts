import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical, ChemicalId, Nature } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import { DomainError, requireAmounts, requireTemperatures } from '../error'
import { acids, tableC, type Acid, type AcidName } from '../chemical/acids'
import { solveChargeBalance, type Solution, type Solved } from './chargeBalance'

/** g/L up to which a chemical without data is left out of the balance. Rounded literature value. */
const traceGramsPerLitre = 2

export interface PhEstimate {
  ph: number
  /** mol/L */
  ionicStrength: number
  /** the reading is expected within ± this */
  uncertainty: number
}

/** What a solution of so many g/L of each product holds; chemicals it knows nothing about throw `no-data` and are named. */
export function solutionOf(
  gramsPerLitre: Partial<Record<ChemicalId, number>>,
  catalogue: Catalogue = builtIn,
): { solution: Solution; chemicals: Chemical[]; trace: boolean } {
  const used = Object.entries(gramsPerLitre).map(([id, grams = 0]) => ({ chemical: chemicalOf(id, catalogue), grams }))
  requireAmounts(Object.fromEntries(used.map(({ chemical, grams }) => [`The amount of ${chemical.name}`, grams])))
  const here = used.filter(({ grams }) => grams > 0)
  const unknown = here.filter(
    ({ chemical, grams }) =>
      chemical.inWater === undefined || (chemical.inWater === 'trace' ? grams > traceGramsPerLitre : chemical.molarMass === null),
  )
  if (unknown.length > 0)
    throw new DomainError(
      'no-data',
      `The pH cannot be predicted: there is no data for ${unknown.map(({ chemical }) => chemical.name).join(', ')}. Measure it.`,
      unknown.map(({ chemical }) => chemical.id),
    )
  const solution: Solution = { ionCharge: 0, ionSquares: 0, acids: [] }
  const acids = new Map<AcidName, number>()
  let trace = false
  for (const { chemical, grams } of here) {
    const { inWater, molarMass, content = 1 } = chemical
    if (inWater === 'trace' || inWater === undefined || molarMass === null) {
      trace = true
      continue
    }
    const molar = (grams * content) / molarMass
    solution.ionCharge += molar * inWater.ions
    solution.ionSquares += molar * inWater.ionSquares
    for (const [name, count] of inWater.acids) acids.set(name, (acids.get(name) ?? 0) + molar * count)
  }
  solution.acids = [...acids].map(([name, molar]) => ({ name, molar }))
  return { solution, chemicals: here.map(({ chemical }) => chemical), trace }
}

/** Temperature at which a pH is predicted, °C. */
export interface PhOptions {
  atC?: number
}

/**
 * Predicted pH at `atC` (25 °C where not given) of a solution of so many g/L of each product (liquids too), its ionic strength in mol/L and how far a
 * reading may be off. Chemicals without data throw `no-data` with their ids; sequestrants and thiourea are left out up to 2 g/L.
 * Example: 10 g/L of sodium hydroxide is 13.26 at 25 °C and 12.7 at 45 °C.
 * @example
 * Math.round(estimatePh({ 'sodium-carbonate': 20 }).ph * 10) / 10 // → 11.5
 */
export function estimatePh(
  gramsPerLitre: Partial<Record<ChemicalId, number>>,
  options: PhOptions = {},
  catalogue: Catalogue = builtIn,
): PhEstimate {
  const { atC = tableC } = options
  requireTemperatures({ 'The temperature': atC })
  if (atC < 0 || atC > 100) throw new DomainError('out-of-range', `A solution is between 0 and 100 °C, not at ${atC}.`)
  const { solution, chemicals, trace } = solutionOf(gramsPerLitre, catalogue)
  const solved = solveChargeBalance(solution, atC)
  const { ph, ionicStrength } = solved
  return { ph, ionicStrength, uncertainty: uncertaintyOf(chemicals, solution, solved, trace, atC) }
}

/** mol/L per pH under which a trace of anything moves the pH. */
const unbuffered = 0.002
/** pH from a pKa beyond which its shift with the temperature no longer shows */
const takesPart = 2

/**
 * ±0.6 with a metal salt that hydrolyses, ±0.3 with a developing agent, a strong solution or something left out, else ±0.05; ±1 where nothing buffers; and
 * away from 25 °C 0.02 more per °C where a pKa that takes part moves by nobody knows how much.
 */
function uncertaintyOf(chemicals: Chemical[], solution: Solution, solved: Solved, trace: boolean, atC: number): number {
  const any = (...natures: Nature[]) => chemicals.some((chemical) => natures.some((nature) => chemical.natures.includes(nature)))
  const hydrolyses = any('alum', 'metal-salt')
  const plain = hydrolyses ? 0.6 : trace || any('developing-agent') || solved.ionicStrength > 0.2 ? 0.3 : 0.05
  const unmeasured = solution.acids.some(({ name }) => {
    const { pKa, perC }: Acid = acids[name]
    return pKa.some((one, i) => perC[i] === null && Math.abs(one - solved.ph) < takesPart)
  })
  return (solved.bufferCapacity < unbuffered && !hydrolyses ? 1 : plain) + (unmeasured ? 0.02 * Math.abs(atC - tableC) : 0)
}
