import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { DomainError, requireAmounts } from '../error'
import { solveChargeBalance } from './chargeBalance'
import { solutionOf } from './estimatePh'

export interface OxidisedPoint {
  /** share of the hydroquinone oxidised by air, 0 to 1 */
  share: number
  ph: number
}

/**
 * pH against the share of hydroquinone that air has oxidised. Each mole of it uses two of sulfite in all and frees one of hydroxide:
 * hydroquinone + O2 + 2 sulfite → monosulfonate + sulfate + hydroxide. Ends where the sulfite does. No hydroquinone or no sulfite throws `no-hydroquinone`.
 * @example
 * airOxidation({ 'sodium-sulfite': 100, hydroquinone: 5, 'borax-decahydrate': 2 }, [0, 0.5]).length // → 2
 */
export function airOxidation(
  gramsPerLitre: Partial<Record<ChemicalId, number>>,
  shares: number[],
  catalogue: Catalogue = builtIn,
): OxidisedPoint[] {
  requireAmounts(Object.fromEntries(shares.map((share, i) => [`Share ${i + 1}`, share])))
  const { solution } = solutionOf(gramsPerLitre, catalogue)
  const molarOf = (name: string) => solution.acids.find((acid) => acid.name === name)?.molar ?? 0
  const hydroquinone = molarOf('hydroquinone')
  const sulfite = molarOf('sulfurous')
  if (hydroquinone === 0 || sulfite === 0)
    throw new DomainError('no-hydroquinone', 'Only a developer with hydroquinone and sulfite creeps up in pH this way.')
  const furthest = Math.min(1, sulfite / (2 * hydroquinone))
  return shares
    .filter((share) => share <= furthest)
    .map((share) => {
      const gone = share * hydroquinone
      const left = (name: string, molar: number) =>
        name === 'hydroquinone' ? molar - gone : name === 'sulfurous' ? molar - 2 * gone : molar
      const acids = solution.acids.map(({ name, molar }) => ({ name, molar: left(name, molar) }))
      acids.push({ name: 'hydrogen sulfate', molar: gone }, { name: 'hydroquinone monosulfonate', molar: gone })
      const { ph } = solveChargeBalance({ ...solution, acids })
      return { share, ph }
    })
}
