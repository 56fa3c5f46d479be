import type { traysApi } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { readPicture } from '../http/picture'
import type { Call, Handler } from '../http/route'
import { ownSheet } from './rows'

type Kept = Awaited<ReturnType<typeof readPicture>>

/** Where the places of a print lie, as they are drawn. */
export const draw: Handler<typeof traysApi.draw> = async ({ db, params: { id }, body: { version, outline }, who }) => {
  await ownSheet(db, id, who)
  const row = await db.Sheet.findByPk(id)
  if (!row) throw notFound('print')
  await saveSeen(row.set({ outline }), version, () => ownSheet(db, id, who))
  return ownSheet(db, id, who)
}

/** The picture made anew from its pixels, before anything is locked. */
export async function photoOf({ db, params, who, upload }: Call<typeof traysApi.putPhoto>): Promise<Kept> {
  await ownSheet(db, params.id, who)
  if (!upload) throw new Refusal(400, 'not-a-form', 'Take or choose the photograph.')
  return readPicture(upload.bytes)
}

export const putPhoto: Handler<typeof traysApi.putPhoto> = async ({ db, params: { id }, who, now, before }) => {
  await ownSheet(db, id, who)
  await db.SheetPhoto.upsert({ sheetId: id, ...(before as Kept), at: now })
  return { done: true as const }
}

export const getPhoto: Handler<typeof traysApi.getPhoto> = async ({ db, params: { id }, who }) => {
  const sheet = await ownSheet(db, id, who)
  const photo = await db.SheetPhoto.findByPk(id)
  if (!photo) throw notFound('photograph')
  return { name: `print ${sheet.number}`, type: photo.type, bytes: photo.bytes }
}
