import type { Endpoint } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import type { Call, Handler } from '../http/route'
import type { Who } from '../http/who'
import type { Database } from '../table/database'

/** A run is seen and led by whoever planned it, and by every technician. */
async function requireOwn(db: Database, id: string, who: Who): Promise<void> {
  if (who.role === 'technician') return
  const run = await db.Run.findByPk(id, { attributes: ['plannedBy'], raw: true })
  if (!run) throw notFound('run')
  if (run.plannedBy !== who.id) throw new Refusal(403, 'not-yours', 'That run is someone else’s. Ask the technician on duty.')
}

/** Answers for a run only whom it concerns. */
export const ofOwn =
  <E extends Endpoint>(handler: Handler<E>): Handler<E> =>
  async (call: Call<E>) => {
    await requireOwn(call.db, (call.params as { id: string }).id, call.who)
    return handler(call)
  }
