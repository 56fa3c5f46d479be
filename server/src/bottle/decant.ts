import type { api, Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { notFound } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { broughtFrom, lockBottles, writeEntry } from './ledger'
import { putOnShelf, type NewBottle } from './putOnShelf'
import { requireUsable, requireVolume } from './requiring'
import { bottleById } from './rows'

/** What a bottle made from another one's liquid has of it. */
export async function offspring(
  db: Database,
  from: Bottle,
): Promise<Pick<NewBottle, 'family' | 'formulaVersionId' | 'batchId' | 'fromBottleId' | 'shelfId' | 'ownUse'>> {
  const source = await db.Bottle.findByPk(from.id, { attributes: ['formulaVersionId'] })
  if (!source) throw notFound('bottle')
  const { family, batchId, id: fromBottleId, shelfId } = from
  return { family, formulaVersionId: source.formulaVersionId, batchId, fromBottleId, shelfId, ownUse: from.ownUse ? from.use : null }
}

/** Into smaller bottles, unchanged: each takes its history along. */
export const decant: Handler<typeof api.bottle.decant> = async ({ db, params, body, who, now }) => {
  await lockBottles(db, [params.id])
  const from = await bottleById(db, params.id, now)
  const note = requireUsable(from, body.overrule)
  requireVolume(
    from,
    body.into.reduce((sum, one) => sum + one.ml, 0),
  )
  const groupId = uuid()
  const by = who.id
  const like = { ...(await offspring(db, from)), parts: from.parts, madeAt: from.madeAt, brings: broughtFrom(from.state), groupId, by, now }
  for (const one of body.into) {
    await putOnShelf(db, { ...like, ...one })
    const line = { id: uuid(), bottleId: from.id, kind: 'decant' as const, ml: -one.ml, otherBottleId: one.id }
    await writeEntry(db, { ...line, at: now, by, groupId, note })
  }
  const made: Bottle[] = []
  for (const one of body.into) made.push(await bottleById(db, one.id, now))
  return { from: await bottleById(db, from.id, now), made }
}
