import type { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { meetingOf } from './joining'
import { broughtFrom, lockBottles, writeEntry } from './ledger'
import { requireVolume } from './requiring'
import { retire } from './retire'
import { bottleById } from './rows'

/** Poured into the wrong bottle: both are retired. */
export const wrong: Handler<typeof api.bottle.wrong> = async ({ db, params, body, who, now }) => {
  if (params.id === body.intoId) throw new Refusal(422, 'same-bottle', 'Say into which other bottle it was poured.', { field: 'intoId' })
  await lockBottles(db, [params.id, body.intoId])
  const from = await bottleById(db, params.id, now)
  const into = await bottleById(db, body.intoId, now)
  requireVolume(from, body.ml)
  const meeting = await meetingOf(db, into, from, body.ml)
  const groupId = uuid()
  const line = { kind: 'wrong-bottle' as const, at: now, by: who.id, groupId, note: body.reason }
  await writeEntry(db, { ...line, id: body.entryId, bottleId: from.id, ml: -body.ml, otherBottleId: into.id })
  const brings = broughtFrom(from.state)
  await writeEntry(db, { ...line, id: uuid(), bottleId: into.id, ml: body.ml, otherBottleId: from.id, brings })
  const warns = meeting ? ` Danger: ${meeting.danger}` : ''
  const end = { by: who.id, now, groupId }
  if (from.retiredAt === null) await retire(db, from, { ...end, why: `Some of it was poured into ${into.label}: ${body.reason}${warns}` })
  if (into.retiredAt === null)
    await retire(db, into, { ...end, why: `${from.label} ${from.name} was poured into it: ${body.reason}${warns}` })
  return { from: await bottleById(db, from.id, now), into: await bottleById(db, into.id, now) }
}
