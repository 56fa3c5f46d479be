import type { UsedFormula } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'

const asItIs = new WeakMap<FormulaBody, UsedFormula>()

/** A formula body as core takes it, the same one as long as the body is; a bottle may be used otherwise than its formula says. */
export function usedFormula(id: string, body: FormulaBody, ownUse: FormulaBody['use'] | null = null): UsedFormula {
  if (ownUse) return { id, ...body, use: ownUse } as UsedFormula
  const known = asItIs.get(body)
  if (known?.id === id) return known
  const made = { id, ...body } as UsedFormula
  asItIs.set(body, made)
  return made
}
