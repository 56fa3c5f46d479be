import { decideMoving } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll } from '../table/all'
import { lockBottles } from './ledger'
import { bottleById } from './rows'
import { writeDecided } from './write'

/** To another shelf, or into another kind of container. */
export const move: Handler<typeof api.bottle.move> = async ({ db, params, body: { entryId, shelfId, container = null }, who, now }) => {
  await lockBottles(db, [params.id])
  const shelf = shelfId ? await db.Shelf.findByPk(shelfId) : null
  if (shelfId && !shelf) throw notFound('shelf')
  const decided = decideMoving(params.id, { entryId, shelf, container })
  if (shelf) await changeAll(db.Bottle, { shelfId: shelf.id }, { id: params.id })
  await writeDecided(db, decided, { by: who.id, now, bottles: [] })
  return bottleById(db, params.id, now)
}
