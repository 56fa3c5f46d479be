import { decideDecanting } from '@selvrin/core'
import type { api, Bottle } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import { inOrderOf } from '../http/page'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { lockBottles } from './ledger'
import type { NewBottle } from './putOnShelf'
import { bottleById, bottlesById } from './rows'
import { writeDecided } from './write'

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
  const decided = decideDecanting(from, body)
  await writeDecided(db, decided, { by: who.id, now, bottles: [from], like: await offspring(db, from) })
  const ids = body.into.map((one) => one.id)
  return { from: await bottleById(db, from.id, now), made: inOrderOf(ids, await bottlesById(db, ids, now)) }
}
