import { decideMovingUp, decidePairing } from '@selvrin/core'
import type { api, Bottle } from '@selvrin/core/contract'
import type { Handler } from '../http/route'
import { openBottles } from './rows'
import { writeDecided } from './write'

/** Two fixing baths become a pair. */
export const pair: Handler<typeof api.bottle.pair> = async ({ db, body, who, now }) => {
  const ids = [body.firstId, body.secondId]
  const [first, second] = (await openBottles(db, ids, now)).map((one) => one.bottle) as [Bottle, Bottle]
  await writeDecided(db, decidePairing(first, second, now), { by: who.id, now, bottles: [first, second] })
  const [asFirst, asSecond] = (await openBottles(db, ids, now)).map((one) => one.bottle) as [Bottle, Bottle]
  return { first: asFirst, second: asSecond }
}

/** The second bath becomes the first: the old first is discarded, a fresh second stands in. */
export const moveUp: Handler<typeof api.bottle.moveUp> = async ({ db, params, body, who, now }) => {
  const bottles = (await openBottles(db, [body.firstId, params.id, body.freshId], now)).map((one) => one.bottle)
  const [old, second, fresh] = bottles as [Bottle, Bottle, Bottle]
  await writeDecided(db, decideMovingUp(old, second, fresh), { by: who.id, now, bottles })
  const [asFirst, asSecond] = (await openBottles(db, [params.id, body.freshId], now)).map((one) => one.bottle) as [Bottle, Bottle]
  return { first: asFirst, second: asSecond }
}
