import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import { whatNeverMeets } from '../meeting/whatNeverMeets'
import type { Formula } from './formula'
import { perLitre } from './perLitre'

/**
 * The worst that comes of pouring ml of some solutions together in this order, by what they are made of; null where nothing is to be feared. A bought
 * liquid with no recipe holds nothing that is known.
 * @example
 * pouredTogether([{ formula: fixer, ml: 500 }, { formula: developer, ml: 500 }]) // → null
 */
export function pouredTogether(
  poured: { formula: Formula; ml: number }[],
  catalogue: Catalogue = builtIn,
  atC = 20,
): { danger: string } | null {
  const totalMl = poured.reduce((sum, one) => sum + one.ml, 0)
  if (!(totalMl > 0)) return null
  const [worst] = whatNeverMeets(
    poured
      .filter(({ ml }) => ml > 0)
      .flatMap(({ formula, ml }) =>
        Object.entries(perLitre(formula, catalogue)).map(([chemical, grams]) => ({ chemical, gramsPerLitre: (grams * ml) / totalMl })),
      ),
    { atC },
    catalogue,
  )
  if (!worst) return null
  const name = (id: string) => chemicalOf(id, catalogue).name
  return { danger: `${name(worst.one)} never meets ${name(worst.other)}: ${worst.danger}.` }
}
