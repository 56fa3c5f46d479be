import { checkFormula, type Catalogue, type Formula } from '@selvrin/core'
import { Refusal } from '../house/refusal'

/** Grave findings of the rules of mixing, as sentences. What never meets is no matter of reasons where it is mixed. */
export const graveFindings = (formula: Formula, catalogue: Catalogue): string[] =>
  checkFormula(formula, catalogue)
    .filter((finding) => finding.severity === 'error')
    .map((finding) => finding.message)

/** Grave findings want a reason; answers it, null where there is nothing to overrule. */
export function requireReason(grave: string[], reason: string | undefined, what: string): string | null {
  if (grave.length === 0) return null
  if (reason === undefined)
    throw new Refusal(422, 'unwise', `${grave[0]} Change it, or write why it is ${what} all the same.`, { field: 'overrule' })
  return reason
}
