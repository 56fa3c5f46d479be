import type { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { asSeen, saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import { forgetCheckpoints } from './checkpoint'
import { lockBottles, writeEntry } from './ledger'
import { bottleById } from './rows'

/** A bottle used otherwise than its formula says; null goes back to it. */
export const useOtherwise: Handler<typeof api.bottle.change> = async ({ db, params, body, who, now }) => {
  await lockBottles(db, [params.id])
  const row = asSeen(db.Bottle, { id: params.id, version: body.version })
  await saveSeen(row.set({ ownUse: body.use }), body.version, () => bottleById(db, params.id, now))
  const note = `${body.use ? `used as ${body.use.school.replace('-', ' ')}` : 'used as its formula says'}: ${body.reason}`
  await writeEntry(db, { id: uuid(), bottleId: params.id, kind: 'change', at: now, by: who.id, ml: 0, note })
  await forgetCheckpoints(db, [params.id])
  return bottleById(db, params.id, now)
}
