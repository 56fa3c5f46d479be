import type { api } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import { readPicture } from '../http/picture'
import type { Call, Handler } from '../http/route'
import { ownOrder } from './rows'

type Kept = Awaited<ReturnType<typeof readPicture>>

/** The picture made anew from its pixels, before anything is locked. */
export async function photoOf({ db, params, who, upload }: Call<typeof api.order.putPhoto>): Promise<Kept> {
  await ownOrder(db, params.id, who)
  if (!upload) throw new Refusal(400, 'not-a-form', 'Take or choose the photograph.')
  return readPicture(upload.bytes)
}

export const putPhoto: Handler<typeof api.order.putPhoto> = async ({ db, params, who, now, before }) => {
  const order = await ownOrder(db, params.id, who)
  await db.OrderPhoto.upsert({ orderId: order.id, ...(before as Kept), at: now })
  return { done: true as const }
}

export const getPhoto: Handler<typeof api.order.getPhoto> = async ({ db, params, who }) => {
  const order = await ownOrder(db, params.id, who)
  const photo = await db.OrderPhoto.findByPk(order.id)
  if (!photo) throw notFound('photograph')
  return { name: `order ${order.number}`, type: photo.type, bytes: photo.bytes }
}
