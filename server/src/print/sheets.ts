import type { NegativeBody } from '@selvrin/core'
import type { traysApi } from '@selvrin/core/contract'
import { col, fn, Op, where as whereIs, type Order } from 'sequelize'
import { oneAtATime } from '../house/queries'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { pageOf, wordsOf } from '../http/page'
import type { Handler } from '../http/route'
import type { Who } from '../http/who'
import type { Database } from '../table/database'
import { calibrationRows } from './calibrations'
import { boxRows, enlargerRow, ownSheet, paperRow, sheetRows, triesOf, tryRows } from './rows'

const newest: Order = [['id', 'desc']]
/** prints in the making that are told at once */
const mostOpen = 60

const mine = (who: Who): object => (who.role === 'technician' ? {} : { memberId: who.id })

/** What stands in the print room, and what is being made in it. */
export const room: Handler<typeof traysApi.get> = async ({ db, who }) => ({
  papers: (await db.Paper.findAll({ where: { goneAt: null }, order: ['id'] })).map(paperRow),
  boxes: await boxRows(db, {}),
  enlargers: (await db.Enlarger.findAll({ where: { goneAt: null }, order: ['id'] })).map(enlargerRow),
  calibrations: await calibrationRows(db),
  sheets: await sheetRows(db, { done: false, ...mine(who) }, { order: newest, limit: mostOpen }),
})

/** Sheets of prints, the newest first, found by the words of their titles and negatives. */
export const list: Handler<typeof traysApi.sheets> = async ({ db, query: { limit, after, find }, who }) => {
  const words = wordsOf(find).map((word) => whereIs(fn('plain', col('title')), { [Op.like]: word }))
  const where = { ...mine(who), ...(after === undefined ? {} : { id: { [Op.lt]: after } }), [Op.and]: words }
  return pageOf(await sheetRows(db, where, { order: newest, limit: limit + 1 }), limit)
}

/** Whole sheets, page by page: for a file, say. */
export const whole: Handler<typeof traysApi.whole> = async ({ db, query: { limit, after }, who }) => {
  const where = { ...mine(who), ...(after === undefined ? {} : { id: { [Op.lt]: after } }) }
  const { rows, after: next } = pageOf(await sheetRows(db, where, { order: newest, limit: limit + 1 }), limit)
  const tries = await triesOf(
    db,
    rows.map((row) => row.id),
  )
  return { rows: rows.map((sheet) => ({ sheet, tries: tries.get(sheet.id) ?? [] })), after: next }
}

export const get: Handler<typeof traysApi.sheet> = async ({ db, params: { id }, who }) => ({
  sheet: await ownSheet(db, id, who),
  tries: await tryRows(db, { sheetId: id }),
})

/** The film a negative is on is one that was developed here, and whoever prints may see it. */
async function requireFilm(db: Database, { rollId }: NegativeBody, who: Who): Promise<void> {
  if (rollId === undefined) return
  if ((await db.Roll.count({ where: { id: rollId, ...mine(who) } })) === 0) throw notFound('film')
}

/** A print is begun; a technician begins one for anybody. */
export const begin: Handler<typeof traysApi.begin> = async ({ db, body: { id, memberId, ...sheet }, who, now }) => {
  if (who.role !== 'technician' && memberId !== who.id)
    throw new Refusal(403, 'not-yours', 'You begin prints of your own. For someone else’s ask a technician.')
  const owner = await db.Person.findOne({ attributes: ['active'], where: { id: memberId }, raw: true })
  if (!owner?.active) throw new Refusal(422, 'no-person', 'Whose print is it? That person is not there any more.', { field: 'memberId' })
  await requireFilm(db, sheet.negative, who)
  await oneAtATime(db, 'print number')
  const last = (await db.Sheet.max('number')) as number | null
  await db.Sheet.create({ id, number: (last ?? 0) + 1, memberId, ...sheet, byPerson: who.id, at: now })
  return ownSheet(db, id, who)
}

export const change: Handler<typeof traysApi.change> = async ({ db, params: { id }, body: { version, ...sheet }, who }) => {
  await ownSheet(db, id, who)
  await requireFilm(db, sheet.negative, who)
  const row = await db.Sheet.findByPk(id)
  if (!row) throw notFound('print')
  await saveSeen(row.set(sheet), version, () => ownSheet(db, id, who))
  return ownSheet(db, id, who)
}
