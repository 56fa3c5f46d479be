import type { api, Fault } from '@selvrin/core/contract'
import { Op, type WhereOptions } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { pageOf } from '../http/page'
import type { Handler } from '../http/route'
import type { Database, Row } from '../table/database'

const shown = (row: Row<'Fault'>): Fault => ({
  ...row.get(),
  ...{ by: nameOf(row.by), check: row.checked, closedBy: row.closedBy === null ? null : nameOf(row.closer) },
})

/** Faults with the names of whoever found and closed them, the newest first. */
export const faultsWhere = async (db: Database, where: WhereOptions, limit?: number): Promise<Fault[]> =>
  (
    await db.Fault.findAll({
      include: [withName(), withName('closer')],
      where,
      order: [['id', 'desc']],
      ...(limit === undefined ? {} : { limit }),
    })
  ).map(shown)

async function faultRow(db: Database, id: string): Promise<Fault> {
  const [fault] = await faultsWhere(db, { id })
  if (!fault) throw notFound('fault')
  return fault
}

/** Ids of tanks and baths that are out of order. */
export const outOfOrder = async (db: Database): Promise<string[]> =>
  (await db.Fault.findAll({ attributes: ['thingId'], where: { state: 'out', thingId: { [Op.ne]: null } }, raw: true })).flatMap(
    (row) => row.thingId ?? [],
  )

export const listFaults: Handler<typeof api.fault.list> = async ({ db, query: { which, after, limit } }) => {
  const state = which === 'open' ? { [Op.ne]: 'closed' } : 'closed'
  return pageOf(await faultsWhere(db, { state, ...(after === undefined ? {} : { id: { [Op.lt]: after } }) }, limit + 1), limit)
}

/** Anybody may say that something is wrong: it is in doubt until somebody on duty has looked. */
export const reportFault: Handler<typeof api.fault.report> = async ({ db, body, who, now }) => {
  await db.Fault.create({ ...body, byPerson: who.id, at: now })
  return faultRow(db, body.id)
}

async function openFault(db: Database, id: string) {
  const row = await db.Fault.findByPk(id)
  if (!row) throw notFound('fault')
  if (row.state === 'closed')
    throw new Refusal(409, 'closed', `${row.name} was found right again already.`, { current: await faultRow(db, id) })
  return row
}

export const judgeFault: Handler<typeof api.fault.judge> = async ({ db, params, body: { version, state } }) => {
  const row = await openFault(db, params.id)
  await saveSeen(row.set({ state }), version, () => faultRow(db, row.id))
  return faultRow(db, row.id)
}

export const closeFault: Handler<typeof api.fault.close> = async ({ db, params, body: { version, check }, who, now }) => {
  const row = await openFault(db, params.id)
  await saveSeen(row.set({ state: 'closed', checked: check, closedBy: who.id, closedAt: now }), version, () => faultRow(db, row.id))
  return faultRow(db, row.id)
}
