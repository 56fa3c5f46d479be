import { notFound, Refusal } from '../house/refusal'
import type { Database } from '../table/database'

/** Refuses a formula that is no bath of that kit. */
export async function requireBathOf(db: Database, kitSetId: string, formulaId: string): Promise<void> {
  const set = await db.KitSet.findByPk(kitSetId)
  if (!set) throw notFound('kit')
  if (!set.body.baths.some((bath) => bath.formulaId === formulaId))
    throw new Refusal(
      422,
      'no-bath',
      `${set.body.name} has no such bath: kit ${set.number} takes ${set.body.baths.map((bath) => bath.name).join(', ')}.`,
    )
}
