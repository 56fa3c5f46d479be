import { decidePlanning, developsFirst, partsOfBaths, planFor, wantsOf, type Plan } from '@selvrin/core'
import type { api, PlanRequest, Run } from '@selvrin/core/contract'
import { lockBottles } from '../bottle/ledger'
import { bottlesById } from '../bottle/rows'
import { shown, withNames } from '../chart/rows'
import { oneAtATime } from '../house/queries'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Who } from '../http/who'
import { newestFormulas } from '../formula/queries'
import { holdToPermission } from '../permission/holding'
import { processAs } from '../process/rows'
import type { Database } from '../table/database'
import { vesselRows } from './queries'
import { runRow } from './rows'

/** What a request comes to with what is on the shelf now; what the run itself is promised does not count against it. */
export async function planNow(db: Database, request: PlanRequest, exceptRun: string | null, now: number): Promise<Plan> {
  const vessels = await vesselRows(db, { ids: [request.vesselId], after: null, limit: null })
  const bottles = await bottlesById(
    db,
    request.baths.map((bath) => bath.bottleId),
    now,
    exceptRun,
  )
  const chart = await db.ChartRow.findAll({ ...withNames, where: { id: request.chartRowIds } })
  const partOf = partsOfBaths(await newestFormulas(db, { ids: null, after: null, limit: null }))
  const { id, body } = await processAs(db, request.processVersionId)
  return planFor(request, { process: { ...body, id }, vessels, bottles, chart: chart.map(shown), partOf })
}

/** Promises a run its baths. */
export async function promise(db: Database, runId: string, plan: Plan): Promise<void> {
  await db.RunBath.destroy({ where: { runId } })
  await db.RunBath.bulkCreate(wantsOf(plan).map((want) => ({ ...want, runId })))
}

/** What the film's record says it was developed in. */
const bathOf = (plan: Plan): string => {
  const bottle = plan.steps.find(developsFirst)?.bottle
  return bottle ? `${bottle.name} ${bottle.parts.length > 1 ? bottle.parts.join('+') : 'undiluted'}` : ''
}

/** What speaks against a plan is overruled by a technician alone. */
function requireUnder(who: Who, overrule: string | undefined): void {
  if (who.role !== 'technician' && overrule !== undefined)
    throw new Refusal(403, 'not-yours', 'Only a technician overrules what speaks against a plan. Ask the one on duty.')
}

interface ToPlan {
  id: string
  request: PlanRequest
  overrule?: string | undefined
  /** of each film, the order it came in; none where it was not handed in */
  orders?: string[]
}

/** Plans a run, which promises it its vessel, liquids and capacity. */
export async function planRun(db: Database, { id, request, overrule, orders = [] }: ToPlan, who: Who, now: number): Promise<Run> {
  // two who plan on the same bottles at once are told of each other
  await lockBottles(
    db,
    request.baths.map((bath) => bath.bottleId),
  )
  await holdToPermission(db, request, who, now)
  const planned = await planNow(db, request, null, now)
  requireUnder(who, overrule)
  const overruled = decidePlanning(planned, overrule)
  await oneAtATime(db, 'run number')
  const last = (await db.Run.max('number')) as number | null
  await db.Run.create({ id, number: (last ?? 0) + 1, plan: planned, request, overruled, plannedBy: who.id, plannedAt: now })
  await promise(db, id, planned)
  await db.Roll.bulkCreate(
    request.films.map((film, i) => ({
      id: film.id,
      reel: i + 1,
      orderId: orders[i] ?? null,
      runId: id,
      memberId: film.memberId,
      film: film.film,
      format: film.format,
      ei: film.ei,
      developer: bathOf(planned),
      temperatureC: request.temperatureC,
      at: now,
      slowClearing: film.slowClearing ?? null,
    })),
  )
  return runRow(db, id)
}

export const plan: Handler<typeof api.run.plan> = ({ db, body, who, now }) => planRun(db, body, who, now)
