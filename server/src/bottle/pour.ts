import { decidePour } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import type { Handler } from '../http/route'
import { meetsOf } from './contents'
import { openBottles, type Held } from './rows'
import { writeDecided } from './write'

/** Liquid out of a bottle, back, away, onto it, or through it. */
export const pour: Handler<typeof api.bottle.pour> = async ({ db, params, body, who, now }) => {
  const [held, other] = (await openBottles(db, [params.id, ...(body.fromId ? [body.fromId] : [])], now)) as [Held, Held?]
  const { bottle } = held
  const from = other?.bottle
  const meets = from && body.kind === 'top-up' ? await meetsOf(db, bottle, from, body.ml) : null
  const lines = await writeDecided(db, decidePour({ bottle, from, meets }, body), { by: who.id, now, bottles: [bottle], into: body.into })
  return held.with(lines.filter((line) => line.bottleId === bottle.id)).bottle
}
