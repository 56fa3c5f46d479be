import { decideUsingOtherwise } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { asSeen, saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import { forgetCheckpoints } from './checkpoint'
import { lockBottles } from './ledger'
import { bottleById } from './rows'
import { writeDecided } from './write'

/** A bottle used otherwise than its formula says; null goes back to it. */
export const useOtherwise: Handler<typeof api.bottle.change> = async ({ db, params, body, who, now }) => {
  await lockBottles(db, [params.id])
  const row = asSeen(db.Bottle, { id: params.id, version: body.version })
  await saveSeen(row.set({ ownUse: body.use }), body.version, () => bottleById(db, params.id, now))
  await writeDecided(db, decideUsingOtherwise(params.id, body), { by: who.id, now, bottles: [] })
  await forgetCheckpoints(db, [params.id])
  return bottleById(db, params.id, now)
}
