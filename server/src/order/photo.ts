import type { api } from '@selvrin/core/contract'
import { pictureNamed, sentPicture, type KeptPicture } from '../http/picture'
import type { Call, Handler } from '../http/route'
import { ownOrder } from './rows'

/** The picture made anew from its pixels, before anything is locked. */
export async function photoOf({ db, params, who, upload }: Call<typeof api.order.putPhoto>): Promise<KeptPicture> {
  await ownOrder(db, params.id, who)
  return sentPicture(upload)
}

export const putPhoto: Handler<typeof api.order.putPhoto> = async ({ db, params, who, now, before }) => {
  const order = await ownOrder(db, params.id, who)
  await db.OrderPhoto.upsert({ orderId: order.id, ...(before as KeptPicture), at: now })
  return { done: true as const }
}

export const getPhoto: Handler<typeof api.order.getPhoto> = async ({ db, params, who }) => {
  const order = await ownOrder(db, params.id, who)
  return pictureNamed(`order ${order.number}`, await db.OrderPhoto.findByPk(order.id))
}
