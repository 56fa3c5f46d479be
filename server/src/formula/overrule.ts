import { checkFormula, type Catalogue, type Formula } from '@selvrin/core'

/** Grave findings of the rules of mixing, as sentences. What never meets is no matter of reasons where it is mixed. */
export const graveFindings = (formula: Formula, catalogue: Catalogue): string[] =>
  checkFormula(formula, catalogue)
    .filter((finding) => finding.severity === 'error')
    .map((finding) => finding.message)
