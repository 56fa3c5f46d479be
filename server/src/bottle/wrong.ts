import { decideWrongBottle } from '@selvrin/core'
import type { api, Bottle } from '@selvrin/core/contract'
import type { Handler } from '../http/route'
import { meetsOf } from './contents'
import { bottleById, openBottles } from './rows'
import { writeDecided } from './write'

/** Poured into the wrong bottle: both are retired. */
export const wrong: Handler<typeof api.bottle.wrong> = async ({ db, params, body, who, now }) => {
  const [from, into] = (await openBottles(db, [params.id, body.intoId], now)).map((one) => one.bottle) as [Bottle, Bottle]
  const meets = await meetsOf(db, into, from, body.ml)
  await writeDecided(db, decideWrongBottle({ from, into, meets }, body), { by: who.id, now, bottles: [from, into] })
  return { from: await bottleById(db, from.id, now), into: await bottleById(db, into.id, now) }
}
