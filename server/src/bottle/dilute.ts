import { decideDilution } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import type { Handler } from '../http/route'
import { offspring } from './decant'
import { lockBottles } from './ledger'
import { bottleById } from './rows'
import { writeDecided } from './write'

/** Working strength out of a stock bottle. */
export const makeWorkingStrength: Handler<typeof api.bottle.dilute> = async ({ db, params, body, who, now }) => {
  await lockBottles(db, [params.id])
  const from = await bottleById(db, params.id, now)
  const decided = decideDilution(from, body)
  await writeDecided(db, decided, { by: who.id, now, bottles: [from], like: await offspring(db, from) })
  return { from: await bottleById(db, from.id, now), made: await bottleById(db, body.newId, now) }
}
