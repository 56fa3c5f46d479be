import { paperCost } from '@selvrin/core'
import type { BoxOfPaper, Enlarger, Paper, PrintSheet, PrintTryRow } from '@selvrin/core/contract'
import { fn, col, type FindOptions, type WhereOptions } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Who } from '../http/who'
import type { Database, Row } from '../table/database'

export const paperRow = ({ id, version, body }: Row<'Paper'>): Paper => ({ id, version, ...body })
export const enlargerRow = ({ id, version, body }: Row<'Enlarger'>): Enlarger => ({ id, version, ...body })

/** Sheets that are in boxes, by the boxes. */
async function leftIn(db: Database, boxIds: string[]): Promise<Map<string, number>> {
  const sums = (await db.PaperEntry.findAll({
    attributes: ['boxId', [fn('sum', col('sheets')), 'left']],
    where: { boxId: boxIds },
    group: ['boxId'],
    raw: true,
  })) as unknown as { boxId: string; left: string | number }[]
  return new Map(sums.map((one) => [one.boxId, Number(one.left)]))
}

export async function boxRows(db: Database, where: WhereOptions): Promise<BoxOfPaper[]> {
  const rows = await db.PaperBox.findAll({ where, order: ['madeAt', 'id'] })
  const left = await leftIn(
    db,
    rows.map((row) => row.id),
  )
  return rows.map(({ id, version, paperId, body, openedAt }) => ({ id, version, paperId, ...body, openedAt, left: left.get(id) ?? 0 }))
}

export async function boxRow(db: Database, id: string): Promise<BoxOfPaper> {
  const [row] = await boxRows(db, { id })
  if (!row) throw notFound('box')
  return row
}

export async function sheetRows(db: Database, where: WhereOptions, options: FindOptions = {}): Promise<PrintSheet[]> {
  const rows = await db.Sheet.findAll({ ...options, where, include: [withName('member'), { association: 'photo', attributes: ['at'] }] })
  const counts = (await db.PrintTry.findAll({
    attributes: ['sheetId', [fn('count', col('id')), 'tries']],
    where: { sheetId: rows.map((row) => row.id) },
    group: ['sheetId'],
    raw: true,
  })) as unknown as { sheetId: string; tries: string }[]
  const tries = new Map(counts.map((one) => [one.sheetId, Number(one.tries)]))
  return rows.map((row) => ({
    ...{ id: row.id, version: row.version, number: row.number, title: row.title, memberId: row.memberId, member: nameOf(row.member) },
    ...{ at: row.at, negative: row.negative, setup: row.setup, done: row.done, tries: tries.get(row.id) ?? 0 },
    ...{ outline: row.outline, photo: row.photo != null },
  }))
}

/** A sheet that somebody may see: their own, a technician everyone's. */
export async function ownSheet(db: Database, id: string, who: Who): Promise<PrintSheet> {
  const [row] = await sheetRows(db, { id, ...(who.role === 'technician' ? {} : { memberId: who.id }) })
  if (!row) throw notFound('print')
  return row
}

/** Tries of a sheet, the first first, with what their paper cost. */
export const tryRows = async (db: Database, where: WhereOptions): Promise<PrintTryRow[]> => (await told(db, where)).map(({ row }) => row)

/** Tries of several sheets, by their sheets. */
export async function triesOf(db: Database, sheetIds: string[]): Promise<Map<string, PrintTryRow[]>> {
  const by = new Map<string, PrintTryRow[]>()
  for (const { sheetId, row } of await told(db, { sheetId: sheetIds })) by.set(sheetId, [...(by.get(sheetId) ?? []), row])
  return by
}

async function told(db: Database, where: WhereOptions): Promise<{ sheetId: string; row: PrintTryRow }[]> {
  const rows = await db.PrintTry.findAll({ where, include: [withName()], order: ['seq'] })
  const draws = await db.PaperEntry.findAll({ where: { tryId: rows.map((row) => row.id) }, raw: true })
  const boxes = await db.PaperBox.findAll({ where: { id: draws.map((one) => one.boxId) }, raw: true })
  return rows.map((row) => {
    const own = draws.filter((one) => one.tryId === row.id)
    const sheets = own.reduce((sum, one) => sum - one.sheets, 0)
    const box = boxes.find((one) => one.id === own[0]?.boxId)
    const tried = {
      ...{ id: row.id, version: row.version, at: row.at, by: nameOf(row.by), setup: row.setup, plan: row.plan, sheets },
      ...{ cost: box ? paperCost(box.body, sheets) : null, said: row.said, note: row.note },
    }
    return { sheetId: row.sheetId, row: tried }
  })
}
