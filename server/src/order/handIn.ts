import { freePlace, requireWish, type OrderWish } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { oneAtATime } from '../house/queries'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { processRow } from '../process/rows'
import type { Database } from '../table/database'
import { orderRow } from './rows'

/** s in which more may be handed in before all are promised a day */
export const soon = { inS: 3 }

/** What a wish names has to be there. */
export async function requireNamed(db: Database, { processId, developer }: OrderWish): Promise<void> {
  await processRow(db, processId)
  if (developer && (await db.Formula.count({ where: { id: developer.formulaId } })) === 0)
    throw new Refusal(422, 'no-formula', 'That developer is not there any more. Choose another, or as the chart says.', {
      field: 'developer',
    })
}

/** Rolls come into the drop-off rack; a technician hands in for anybody, a member for themselves. */
export const handIn: Handler<typeof api.order.handIn> = async ({ db, jobs, body: { id, memberId, ...wish }, who, now }) => {
  if (who.role !== 'technician' && memberId !== who.id)
    throw new Refusal(403, 'not-yours', 'You hand in your own films. For someone else’s ask a technician.')
  const owner = await db.Person.findOne({ attributes: ['active'], where: { id: memberId }, raw: true })
  if (!owner?.active)
    throw new Refusal(422, 'no-person', 'Whose films are these? That person is not there any more.', { field: 'memberId' })
  requireWish(wish, now)
  await requireNamed(db, wish)
  // number and place are given out one at a time
  await oneAtATime(db, 'order number')
  const last = (await db.FilmOrder.max('number')) as number | null
  const taken = await db.FilmOrder.findAll({ attributes: ['rack'], where: { rack: { [Op.ne]: null } }, raw: true })
  const rack = freePlace(taken.flatMap((row) => row.rack ?? []))
  await db.FilmOrder.create({ id, number: (last ?? 0) + 1, memberId, ...wish, rack, handedBy: who.id, handedAt: now })
  await db.OrderChange.create({ id: uuid(), orderId: id, at: now, byPerson: who.id, what: 'handed-in' })
  await jobs?.ask('weeks', soon)
  return orderRow(db, id)
}
