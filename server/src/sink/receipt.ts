import type { sinkApi } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import type { Call, Handler } from '../http/route'
import { readSheet } from '../jar/sheet'
import { pickupRow } from './pickups'

/** What is read of the file before anything is locked. */
export const receiptOf = ({ upload }: Call<typeof sinkApi.putReceipt>) => {
  if (!upload) throw new Refusal(400, 'not-a-form', 'Choose the file of the receipt.')
  return readSheet(upload.bytes)
}

export const putReceipt: Handler<typeof sinkApi.putReceipt> = async ({ db, params, body: { name }, before, who, now }) => {
  await pickupRow(db, params.id)
  const { type, bytes } = before as Awaited<ReturnType<typeof readSheet>>
  await db.PickupReceipt.upsert({ pickupId: params.id, name, type, bytes, at: now, byPerson: who.id }, { returning: false })
  return pickupRow(db, params.id)
}

export const getReceipt: Handler<typeof sinkApi.getReceipt> = async ({ db, params }) => {
  const file = await db.PickupReceipt.findByPk(params.id)
  if (!file) throw notFound('receipt')
  return file.get()
}
