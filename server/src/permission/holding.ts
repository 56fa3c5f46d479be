import { requirePermitted } from '@selvrin/core'
import type { PlanRequest } from '@selvrin/core/contract'
import type { Who } from '../http/who'
import { processAs, processRow } from '../process/rows'
import type { Database } from '../table/database'
import { allowed, learnedBy, termsOf } from './rows'

/** Names of the tanks and bottles a request and a permission speak of, by id. */
async function namesOf(db: Database, vesselIds: string[], bottleIds: string[]): Promise<Record<string, string>> {
  const vessels = await db.Vessel.findAll({ attributes: ['id', 'name'], where: { id: vesselIds }, raw: true })
  const bottles = await db.Bottle.findAll({ attributes: ['id', 'letter', 'number'], where: { id: bottleIds }, raw: true })
  return Object.fromEntries([
    ...vessels.map(({ id, name }) => [id, name]),
    ...bottles.map(({ id, letter, number }) => [id, `${letter}${number}`]),
  ]) as Record<string, string>
}

/**
 * A member's own run, held against what they may: when it is planned, and again when it begins. A technician may everything.
 * @throws Refused 'not-permitted'
 */
export async function holdToPermission(db: Database, request: PlanRequest, who: Who, now: number): Promise<void> {
  if (who.role === 'technician') return
  const { id: processId } = await processAs(db, request.processVersionId)
  // nobody takes it away, or gives less, between the look and the act
  const row = await db.Permission.findOne({ where: { personId: who.id, processId }, lock: true })
  const terms = row && termsOf(row)
  const learned = (await learnedBy(db, [who.id])).get(who.id) ?? { versions: [], loaded: [] }
  const names = await namesOf(
    db,
    terms?.vesselIds ?? [],
    request.baths.map((bath) => bath.bottleId),
  )
  requirePermitted(request, { terms, process: allowed(await processRow(db, processId)), personId: who.id, learned, names, now })
}
