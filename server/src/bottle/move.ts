import { assumedShelfC } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll } from '../table/all'
import { lockBottles, writeEntry } from './ledger'
import { bottleById } from './rows'

const words = { bottle: 'in its bottle, with its air', airless: 'the air pressed out', tray: 'in an open tray' }

/** To another shelf, or into another kind of container. */
export const move: Handler<typeof api.bottle.move> = async ({ db, params, body, who, now }) => {
  const { shelfId, container = null } = body
  if (!shelfId && !container) throw new Refusal(422, 'nothing', 'Say where to.')
  await lockBottles(db, [params.id])
  const shelf = shelfId ? await db.Shelf.findByPk(shelfId) : null
  if (shelfId && !shelf) throw notFound('shelf')
  if (shelf) await changeAll(db.Bottle, { shelfId: shelf.id }, { id: params.id })
  const note = [...(shelf ? [`to ${shelf.name}`] : []), ...(container ? [words[container]] : [])].join(', ')
  const line = { id: body.entryId, bottleId: params.id, kind: 'move' as const, at: now, by: who.id, ml: 0 }
  await writeEntry(db, { ...line, celsius: shelf ? (shelf.celsius ?? assumedShelfC) : null, container, note })
  return bottleById(db, params.id, now)
}
