import type { eveningApi } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import type { Handler } from '../http/route'

/** A task somebody did, or did not after all; twice is the same. */
export const tick: Handler<typeof eveningApi.tick> = async ({ db, params, body: { task, done }, who, now }) => {
  if ((await db.Evening.count({ where: { id: params.id } })) === 0) throw notFound('evening')
  const where = { eveningId: params.id, task }
  if (done) await db.EveningTick.findOrCreate({ where, defaults: { ...where, at: now, byPerson: who.id } })
  else await db.EveningTick.destroy({ where })
  return { done: true as const }
}
