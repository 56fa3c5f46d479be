import type { traysApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { notFound } from '../house/refusal'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import { boxRow, enlargerRow, paperRow } from './rows'

export const addPaper: Handler<typeof traysApi.addPaper> = async ({ db, body: { id, ...body } }) =>
  paperRow(await db.Paper.create({ id, body }))

export const changePaper: Handler<typeof traysApi.changePaper> = async ({ db, params: { id }, body: { version, ...body } }) => {
  const row = await db.Paper.findByPk(id)
  if (!row) throw notFound('paper')
  await saveSeen(row.set({ body }), version, async () => paperRow(await db.Paper.findByPk(id, { rejectOnEmpty: true })))
  return paperRow(row)
}

/** A box comes in with all its sheets. */
export const addBox: Handler<typeof traysApi.addBox> = async ({ db, body: { id, paperId, ...body }, who, now }) => {
  if ((await db.Paper.count({ where: { id: paperId } })) === 0) throw notFound('paper')
  await db.PaperBox.create({ id, paperId, body, madeBy: who.id, madeAt: now })
  await db.PaperEntry.create({ id: uuid(), boxId: id, at: now, byPerson: who.id, kind: 'in', sheets: body.sheets })
  return boxRow(db, id)
}

/** What is in a box is counted: the difference is a line of its own. */
export const countBox: Handler<typeof traysApi.countBox> = async ({ db, params: { id }, body, who, now }) => {
  const { entryId, version, left, note } = body
  const row = await db.PaperBox.findByPk(id, { lock: true })
  if (!row) throw notFound('box')
  const before = await boxRow(db, id)
  await saveSeen(row, version, () => boxRow(db, id))
  await db.PaperEntry.create({ id: entryId, boxId: id, at: now, byPerson: who.id, kind: 'count', sheets: left - before.left, note })
  return boxRow(db, id)
}

export const addEnlarger: Handler<typeof traysApi.addEnlarger> = async ({ db, body: { id, ...body } }) =>
  enlargerRow(await db.Enlarger.create({ id, body }))

export const changeEnlarger: Handler<typeof traysApi.changeEnlarger> = async ({ db, params: { id }, body: { version, ...body } }) => {
  const row = await db.Enlarger.findByPk(id)
  if (!row) throw notFound('enlarger')
  await saveSeen(row.set({ body }), version, async () => enlargerRow(await db.Enlarger.findByPk(id, { rejectOnEmpty: true })))
  return enlargerRow(row)
}
