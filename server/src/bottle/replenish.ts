import { decideReplenish } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import type { Handler } from '../http/route'
import { meetsOf } from './contents'
import { openBottles, type Held } from './rows'
import { writeDecided } from './write'

/** Water for what evaporated, replenisher in, the bleed to the waste. */
export const replenish: Handler<typeof api.bottle.replenish> = async ({ db, params, body, who, now }) => {
  const [held, other] = (await openBottles(db, [params.id, ...(body.fromId ? [body.fromId] : [])], now)) as [Held, Held?]
  const { bottle } = held
  const from = other?.bottle
  const meets = from ? await meetsOf(db, bottle, from, body.ml) : null
  const lines = await writeDecided(db, decideReplenish({ bottle, from, meets }, body), {
    by: who.id,
    now,
    bottles: [bottle],
    into: body.into,
  })
  return held.with(lines.filter((line) => line.bottleId === bottle.id)).bottle
}
