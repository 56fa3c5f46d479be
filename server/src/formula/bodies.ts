import type { FormulaBody } from '@selvrin/core/contract'
import type { Database } from '../table/database'

const mostKept = 2000
const kept = new WeakMap<Database, Map<string, FormulaBody>>()

/** What versions of formulas say, by their ids. A version never changes once it is written, so each is read once. */
export async function bodiesOf(db: Database, ids: string[]): Promise<Map<string, FormulaBody>> {
  const known = kept.get(db) ?? new Map<string, FormulaBody>()
  kept.set(db, known)
  const missing = [...new Set(ids)].filter((id) => !known.has(id))
  if (missing.length === 0) return known
  if (known.size > mostKept) known.clear()
  const wanted = known.size === 0 ? [...new Set(ids)] : missing
  for (const { id, body } of await db.FormulaVersion.findAll({ attributes: ['id', 'body'], where: { id: wanted }, raw: true }))
    known.set(id, body)
  return known
}
