import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

/** Tells an order's owner something of it: what they have not seen yet of it says the newest. */
export async function tellOfOrder(
  db: Database,
  { orderId, personId, text, now }: { orderId: string; personId: string; text: string; now: number },
): Promise<void> {
  const unseen = await db.Notice.findOne({ where: { orderId, readAt: null } })
  if (unseen) await unseen.update({ text, at: now })
  else await db.Notice.create({ id: uuid(), personId, at: now, text, orderId })
}
