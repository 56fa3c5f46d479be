import { decideMeasure } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import type { Handler } from '../http/route'
import { openBottles, type Held } from './rows'
import { writeDecided } from './write'

/** What a bottle holds, measured: the difference to its lines becomes a line. */
export const measure: Handler<typeof api.bottle.measure> = async ({ db, params, body, who, now }) => {
  const [held] = (await openBottles(db, [params.id], now)) as [Held]
  return held.with(await writeDecided(db, decideMeasure(held.bottle, body), { by: who.id, now, bottles: [held.bottle] })).bottle
}
