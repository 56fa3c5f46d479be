import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { byGravity, type Finding } from '../finding'
import type { Formula } from './formula'
import { linesOf } from './lines'
import { alkaliAndRestrainer } from './rules/alkaliAndRestrainer'
import { ascorbate } from './rules/ascorbate'
import { bleachFix } from './rules/bleachFix'
import { fixerOrder } from './rules/fixerOrder'
import { intoWater } from './rules/intoWater'
import { metabisulfite } from './rules/metabisulfite'
import { metolBeforeSulfite } from './rules/metolBeforeSulfite'
import { neverMeet } from './rules/neverMeet'
import { phenidoneNeedsHelp } from './rules/phenidoneNeedsHelp'
import { protectedBySulfite } from './rules/protectedBySulfite'
import type { Rule } from './rules/rule'
import { silverNitrate } from './rules/silverNitrate'
import { solubility } from './rules/solubility'
import { startVolume } from './rules/startVolume'
import { wholePack } from './rules/wholePack'

/** The rules of mixing, mix-1 to mix-13 in order, and the table of what never meets. */
const rules: Rule[] = [
  startVolume,
  metolBeforeSulfite,
  protectedBySulfite,
  alkaliAndRestrainer,
  phenidoneNeedsHelp,
  ascorbate,
  fixerOrder,
  intoWater,
  silverNitrate,
  bleachFix,
  solubility,
  metabisulfite,
  wholePack,
  neverMeet,
]

/**
 * What the rules of mixing have to say about a formula, worst first. Unknown chemicals throw `unknown-chemical`.
 * @example
 * checkFormula({ ...developer, startMl: 1000 }).map((finding) => finding.rule) // → ['mix-1', 'mix-2']
 */
export function checkFormula(formula: Formula, catalogue: Catalogue = builtIn): Finding[] {
  const lines = linesOf(formula, catalogue)
  return rules.flatMap((rule) => rule(formula, lines, catalogue)).sort(byGravity)
}
