import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical, ChemicalId } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import { DomainError, requireAmounts } from '../error'
import type { AcidName } from './acids'
import { solveChargeBalance, type Solution } from './chargeBalance'

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

/**
 * Predicted pH at 25 °C of a solution of so many g/L of each product (liquids too), its ionic strength in mol/L and how far a reading may be off.
 * Chemicals without data throw `no-data` with their ids; sequestrants and thiourea are left out up to 2 g/L.
 */
export function estimatePh(gramsPerLitre: Partial<Record<ChemicalId, number>>, catalogue: Catalogue = builtIn): PhEstimate {
  const { solution, chemicals, trace } = solutionOf(gramsPerLitre, catalogue)
  const { ph, ionicStrength } = solveChargeBalance(solution)
  return { ph, ionicStrength, uncertainty: uncertaintyOf(chemicals, ionicStrength, trace) }
}

/** ±0.6 with alum, ±0.3 with a developing agent, a strong solution or something left out, else ±0.05. */
function uncertaintyOf(chemicals: Chemical[], ionicStrength: number, trace: boolean): number {
  const any = (nature: 'alum' | 'developing-agent') => chemicals.some((chemical) => chemical.natures.includes(nature))
  if (any('alum')) return 0.6
  return trace || any('developing-agent') || ionicStrength > 0.2 ? 0.3 : 0.05
}
