import { decideRetiring } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import type { Handler } from '../http/route'
import { lockBottles } from './ledger'
import { bottleById } from './rows'
import { writeDecided } from './write'

/** Takes a bottle out of use; with `discard` what it holds goes to the waste. */
export const retire: Handler<typeof api.bottle.retire> = async ({
  db,
  params,
  body: { reason: why, discard, version, into },
  who,
  now,
}) => {
  await lockBottles(db, [params.id])
  const bottle = await bottleById(db, params.id, now)
  await writeDecided(db, decideRetiring(bottle, { why, discard }), { by: who.id, now, bottles: [bottle], seen: version, into })
  return bottleById(db, params.id, now)
}
