import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { asTaken } from '../formula/asTaken'
import type { Formula } from '../formula/formula'
import { productGrams, type MixState } from './mixState'

/**
 * The formula as it is really mixed: for each line the jar's product and what was put in of it, or is to be.
 * @example
 * whatGoesIn(begun).additions.map((addition) => addition.chemical) // → ['metol', 'sodium-sulfite', 'hydroquinone', 'borax-decahydrate']
 */
export const whatGoesIn = ({ formula, lines }: Pick<MixState, 'formula' | 'lines'>, catalogue: Catalogue = builtIn): Formula =>
  asTaken(
    formula,
    lines
      .filter(({ jarId, line }) => jarId !== null && !line.dissolved)
      .map(({ line, chemical, put, target }) => ({
        step: line.step,
        chemical: chemical.id,
        grams: productGrams(line, chemical, put > 0 ? put : target),
      })),
    catalogue,
  )
