import type { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { lockBottles, writeEntry } from './ledger'
import { requireInUse } from './requiring'
import { retire } from './retire'
import { bottleById } from './rows'

/** Two fixing baths become a pair. */
export const pair: Handler<typeof api.bottle.pair> = async ({ db, body, who, now }) => {
  if (body.firstId === body.secondId) throw new Refusal(422, 'same-bottle', 'A pair is two bottles.', { field: 'secondId' })
  await lockBottles(db, [body.firstId, body.secondId])
  const groupId = uuid()
  const places = [
    { id: body.firstId, position: 1, note: 'first bath of a pair' },
    { id: body.secondId, position: 2, note: 'second bath of a pair' },
  ] as const
  for (const { id, position, note } of places) {
    const bottle = await bottleById(db, id, now)
    if (bottle.use.school !== 'two-bath')
      throw new Refusal(422, 'not-two-bath', `${bottle.label} is not used as one of two baths. Change how it is used first.`)
    requireInUse(bottle)
    const line = { id: uuid(), bottleId: id, kind: 'change' as const, at: now, by: who.id, ml: 0, groupId }
    await writeEntry(db, { ...line, twoBath: { position, moves: 0, since: now }, note })
  }
  return { first: await bottleById(db, body.firstId, now), second: await bottleById(db, body.secondId, now) }
}

/** The second bath becomes the first: the old first is discarded, a fresh second stands in. */
export const moveUp: Handler<typeof api.bottle.moveUp> = async ({ db, params, body, who, now }) => {
  if (new Set([params.id, body.firstId, body.freshId]).size < 3)
    throw new Refusal(422, 'same-bottle', 'That takes three bottles: the old first, the second, and a fresh one.')
  await lockBottles(db, [params.id, body.firstId, body.freshId])
  const first = await bottleById(db, body.firstId, now)
  const second = await bottleById(db, params.id, now)
  const fresh = await bottleById(db, body.freshId, now)
  const place = second.state.twoBath
  if (place?.position !== 2 || first.state.twoBath?.position !== 1)
    throw new Refusal(422, 'not-a-pair', `${first.label} and ${second.label} are not the first and the second bath of a pair.`)
  if (place.moves >= (second.use.twoBath?.moves ?? 0))
    throw new Refusal(409, 'last-move', `The pair has had its ${place.moves} moves: discard both baths and begin with a fresh pair.`)
  if (fresh.formulaId !== second.formulaId || fresh.retiredAt !== null || fresh.use.school !== 'two-bath')
    throw new Refusal(422, 'wrong-fresh', `${fresh.label} is no fresh bath of the same kind.`, { field: 'freshId' })
  const groupId = uuid()
  await retire(db, first, { by: who.id, now, why: `First bath used up; ${second.label} moves up`, groupId, discard: true })
  const line = { at: now, by: who.id, ml: 0, groupId }
  const moved = { ...place, moves: place.moves + 1 }
  const up = {
    id: uuid(),
    bottleId: second.id,
    kind: 'move-up' as const,
    otherBottleId: first.id,
    twoBath: { ...moved, position: 1 as const },
  }
  await writeEntry(db, { ...line, ...up, note: 'second bath becomes the first' })
  const in_ = { id: uuid(), bottleId: fresh.id, kind: 'change' as const, otherBottleId: second.id, twoBath: moved }
  await writeEntry(db, { ...line, ...in_, note: 'fresh second bath' })
  return { first: await bottleById(db, second.id, now), second: await bottleById(db, fresh.id, now) }
}
