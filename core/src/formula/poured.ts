import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import type { Meeting } from '../chemical/meetings'
import { checkFormula } from './checkFormula'
import type { Formula } from './formula'
import { scaleFormula } from './scaleFormula'

/** The worst that comes of pouring ml of some solutions together, by what they are made of; null where nothing is to be feared. */
export function pouredTogether(poured: { formula: Formula; ml: number }[], catalogue: Catalogue = builtIn): Pick<Meeting, 'danger'> | null {
  const finalMl = poured.reduce((sum, one) => sum + one.ml, 0)
  if (!(finalMl > 0)) return null
  const additions = poured.flatMap(({ formula, ml }) => (ml > 0 ? scaleFormula(formula, ml).additions : []))
  const block = checkFormula({ id: 'together', name: '', family: 'other', finalMl, startMl: 0, mixC: 20, additions }, catalogue).find(
    (finding) => finding.severity === 'error' && finding.rule.startsWith('never-'),
  )
  return block ? { danger: block.message } : null
}
