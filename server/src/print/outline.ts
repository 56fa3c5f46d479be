import type { traysApi } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { pictureNamed, sentPicture, type KeptPicture } from '../http/picture'
import type { Call, Handler } from '../http/route'
import { ownSheet } from './rows'

/** Where the places of a print lie, as they are drawn. */
export const draw: Handler<typeof traysApi.draw> = async ({ db, params: { id }, body: { version, outline }, who }) => {
  await ownSheet(db, id, who)
  const row = await db.Sheet.findByPk(id)
  if (!row) throw notFound('print')
  await saveSeen(row.set({ outline }), version, () => ownSheet(db, id, who))
  return ownSheet(db, id, who)
}

/** The picture made anew from its pixels, before anything is locked. */
export async function photoOf({ db, params, who, upload }: Call<typeof traysApi.putPhoto>): Promise<KeptPicture> {
  await ownSheet(db, params.id, who)
  return sentPicture(upload)
}

export const putPhoto: Handler<typeof traysApi.putPhoto> = async ({ db, params: { id }, who, now, before }) => {
  await ownSheet(db, id, who)
  await db.SheetPhoto.upsert({ sheetId: id, ...(before as KeptPicture), at: now })
  return { done: true as const }
}

export const getPhoto: Handler<typeof traysApi.getPhoto> = async ({ db, params: { id }, who }) => {
  const sheet = await ownSheet(db, id, who)
  return pictureNamed(`print ${sheet.number}`, await db.SheetPhoto.findByPk(id))
}
