import { changesOf, decideStart, tasksOfRun, wouldHold, type Away, type TrainingTask } from '@selvrin/core'
import type { api, PlanRequest, Run } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { requireHeated } from '../check/blocks'
import { lockBottles, writeEntries } from '../bottle/ledger'
import { bottlesById } from '../bottle/rows'
import { entriesOf } from '../bottle/write'
import { asSeen, saveNext } from '../http/changing'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { holdToPermission } from '../permission/holding'
import type { Database } from '../table/database'
import { contentsOf } from '../bottle/contents'
import { catalogueOf } from '../chemical/chemistry'
import { holdToTraining } from '../training/holding'
import { planNow, promise } from './planning'
import { lockRun, requireState, runRow } from './rows'

/** What is poured back and stands in other runs' tanks meanwhile. */
async function awayFrom(db: Database, runId: string): Promise<Away[]> {
  const out = await db.RunBath.findAll({
    where: { oneShot: false, runId: { [Op.ne]: runId } },
    include: [{ association: 'run', attributes: ['number'], where: { state: 'running' } }],
  })
  return out.map(({ bottleId, ml, run }) => ({ bottleId, ml, run: run?.number }))
}

const bottleIds = (request: PlanRequest): string[] => request.baths.map((bath) => bath.bottleId)

/** What was decided for it, without which nothing of it can be looked at again. */
function requestOf(run: Run): PlanRequest {
  if (!run.request)
    throw new Refusal(
      409,
      'plan-unreadable',
      `What was decided for run ${run.number} can not be read any more. Give it up and plan it again.`,
    )
  return run.request
}

/** What has to have been shown to whoever leads it, by the films and by what is in the bottles now. */
async function tasksOf(db: Database, request: PlanRequest): Promise<TrainingTask[]> {
  const catalogue = await catalogueOf(db)
  const baths = []
  for (const id of bottleIds(request)) baths.push(await contentsOf(db, id, catalogue))
  return tasksOfRun(
    request.films.map((film) => film.format),
    baths,
    catalogue,
  )
}

/** All a start is decided from, as the shelf is now. */
async function stateOf(db: Database, run: Run, now: number) {
  const request = requestOf(run)
  const plan = await planNow(db, request, run.id, now)
  return { run, plan, away: await awayFrom(db, run.id), bottles: await bottlesById(db, bottleIds(request), now) }
}

/** What starting it would write, as it comes out now. */
export const wouldStart: Handler<typeof api.run.wouldStart> = async ({ db, params, who, now }) => {
  const run = requireState(await runRow(db, params.id), ['planned'])
  await holdToPermission(db, requestOf(run), who, now)
  const state = await stateOf(db, run, now)
  const { plan, lines } = decideStart(state, { agreed: true })
  return { changed: changesOf(run.plan, plan), plan, would: wouldHold(state.bottles, { lines }) }
}

/** The liquids are measured out: all that was planned is looked at again, and what is used once is taken from its bottles. */
export const start: Handler<typeof api.run.start> = async ({ db, params, body, who, now }) => {
  const run = await lockRun(db, params.id, ['planned'], body.version)
  const request = requestOf(run)
  await holdToPermission(db, request, who, now)
  await db.Vessel.findByPk(request.vesselId, { attributes: ['id'], lock: true })
  await lockBottles(db, bottleIds(request))
  await holdToTraining(db, who, await tasksOf(db, request), now)
  const decided = decideStart(await stateOf(db, run, now), body)
  await requireHeated(
    db,
    decided.plan.steps.map((step) => step.temperatureC),
    now,
  )
  await promise(db, run.id, decided.plan)
  await writeEntries(db, entriesOf(decided.lines, { by: who.id, now }))
  const row = asSeen(db.Run, { id: run.id, version: run.version })
  await saveNext(row.set({ state: 'running', startedAt: body.at, plan: decided.plan }))
  return runRow(db, run.id)
}
