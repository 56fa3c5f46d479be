import { type Printing } from '@selvrin/core'
import type { PrintPlace } from '@selvrin/core/contract'
import { Op, type WhereOptions } from 'sequelize'
import { nameOf } from '../house/left'
import { oneAtATime } from '../house/queries'
import type { Database, Row } from '../table/database'

/** Places are given out, and what they are given out by is changed, by one at a time: two who want the last one wait for each other. */
export const givingOut = (db: Database) => oneAtATime(db, 'printing')

const shown = (row: Row<'PrintPlace'>): PrintPlace => ({
  ...{ id: row.id, version: row.version, memberId: row.personId, member: nameOf(row.person), day: row.day },
  ...{ fromAt: row.fromAt, untilAt: row.untilAt, at: row.at, overruled: row.overruled },
})

/** Places that nobody gave back, in their order, with the names of whose they are. */
export const placesWhere = async (db: Database, where: WhereOptions): Promise<PrintPlace[]> =>
  (
    await db.PrintPlace.findAll({
      include: [{ association: 'person', attributes: ['name'] }],
      where: { [Op.and]: [where, { takenBackAt: null }] },
      order: ['fromAt', 'id'],
    })
  ).map(shown)

/** The same as an evening has them. */
export const printsWhere = async (db: Database, where: WhereOptions): Promise<Printing[]> =>
  (await placesWhere(db, where)).map(({ id, memberId, fromAt, untilAt }) => ({ id, memberId, fromAt, untilAt }))

/** How many enlargers are out of order, each counted once however often it was reported. */
export const enlargersOut = (db: Database): Promise<number> =>
  db.Fault.count({ where: { state: 'out', thing: 'enlarger' }, distinct: true, col: 'name' }).then(Number)
