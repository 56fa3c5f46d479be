import { freePlace } from '@selvrin/core'
import { Op } from 'sequelize'
import { oneAtATime } from '../house/queries'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'

/* What becomes of orders when the runs do that their films are in. */

/** Their films are taken out of the rack. */
export const ordersBegin = (db: Database, ids: string[]): Promise<number> =>
  changeAll(db.FilmOrder, { state: 'begun', rack: null }, { id: [...new Set(ids)], state: ['waiting', 'planned'] })

async function ordersIn(db: Database, runId: string): Promise<string[]> {
  const rolls = await db.Roll.findAll({ attributes: ['orderId'], where: { runId, orderId: { [Op.ne]: null } }, raw: true })
  return [...new Set(rolls.flatMap((roll) => roll.orderId ?? []))]
}

/** Orders of which every film came out of a tank by now. */
export async function ordersDone(db: Database, runId: string): Promise<void> {
  for (const id of await ordersIn(db, runId)) {
    const order = await db.FilmOrder.findByPk(id, { attributes: ['count'], raw: true })
    const out = await db.Roll.count({
      where: { orderId: id },
      include: [{ association: 'run', attributes: [], where: { state: ['done', 'abandoned'] }, required: true }],
    })
    if (order && out >= order.count) await changeAll(db.FilmOrder, { state: 'done', rack: null }, { id })
  }
}

/** A run was given up before its films were wet: they lie in the rack again. */
export async function ordersBack(db: Database, runId: string): Promise<void> {
  const ids = await ordersIn(db, runId)
  if (ids.length === 0) return
  await oneAtATime(db, 'order number')
  for (const id of ids) {
    const taken = await db.FilmOrder.findAll({ attributes: ['rack'], where: { rack: { [Op.ne]: null } }, raw: true })
    await changeAll(db.FilmOrder, { state: 'planned', rack: freePlace(taken.flatMap((row) => row.rack ?? [])) }, { id, state: 'begun' })
  }
}
