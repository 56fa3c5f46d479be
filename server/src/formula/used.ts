import type { UsedFormula } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'

/** A formula body as core takes it; a bottle may be used otherwise than its formula says. */
export const usedFormula = (id: string, body: FormulaBody, ownUse: FormulaBody['use'] | null = null): UsedFormula =>
  ({ id, ...body, ...(ownUse ? { use: ownUse } : {}) }) as UsedFormula
