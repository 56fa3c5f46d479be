import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { byGravity, type Finding } from '../finding'
import type { Formula } from './formula'
import { linesOf } from './lines'
import { alkaliAndRestrainer } from './rules/alkaliAndRestrainer'
import { ascorbate } from './rules/ascorbate'
import { fixerOrder } from './rules/fixerOrder'
import { intoWater } from './rules/intoWater'
import { metolBeforeSulfite } from './rules/metolBeforeSulfite'
import { phenidoneNeedsHelp } from './rules/phenidoneNeedsHelp'
import { protectedBySulfite } from './rules/protectedBySulfite'
import type { Rule } from './rules/rule'
import { startVolume } from './rules/startVolume'

/** The rules of mixing, mix-1 to mix-8, in order. */
const rules: Rule[] = [
  startVolume,
  metolBeforeSulfite,
  protectedBySulfite,
  alkaliAndRestrainer,
  phenidoneNeedsHelp,
  ascorbate,
  fixerOrder,
  intoWater,
]

/** What the rules of mixing have to say about a formula, worst first. Unknown chemicals throw `unknown-chemical`. */
export function checkFormula(formula: Formula, catalogue: Catalogue = builtIn): Finding[] {
  const lines = linesOf(formula, catalogue)
  return rules.flatMap((rule) => rule(formula, lines)).sort(byGravity)
}
