import { dilute } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { offspring } from './decant'
import { dilutedFrom, lockBottles, writeEntry } from './ledger'
import { putOnShelf } from './putOnShelf'
import { requireUsable, requireVolume } from './requiring'
import { bottleById } from './rows'

/** Working strength out of a stock bottle. */
export const makeWorkingStrength: Handler<typeof api.bottle.dilute> = async ({ db, params, body, who, now }) => {
  await lockBottles(db, [params.id])
  const from = await bottleById(db, params.id, now)
  const why = requireUsable(from, body.overrule)
  if (from.parts !== null) throw new Refusal(422, 'already-diluted', `${from.label} is working strength already. Take a stock bottle.`)
  const { parts, totalMl, sizeMl, newId: id } = body
  const [concentrateMl = 0] = dilute({ parts, totalMl })
  requireVolume(from, concentrateMl)
  const groupId = uuid()
  const made = { id, sizeMl, ml: totalMl, parts, brings: dilutedFrom(from.state), groupId }
  await putOnShelf(db, { ...(await offspring(db, from)), ...made, by: who.id, now })
  const line = { id: uuid(), bottleId: from.id, kind: 'dilute-out' as const, at: now, by: who.id, ml: -concentrateMl }
  const note = [`${parts.join('+')} to ${totalMl} ml`, why].filter(Boolean).join('. ')
  await writeEntry(db, { ...line, otherBottleId: id, groupId, note })
  return { from: await bottleById(db, from.id, now), made: await bottleById(db, id, now) }
}
