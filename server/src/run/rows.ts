import { markLate, readPlan, readRequest, type RunEvent } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import { filmsWhere } from '../film/rows'
import { nameOf } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import type { Who } from '../http/who'
import type { Database } from '../table/database'

export async function runRow(db: Database, id: string): Promise<Run> {
  const row = await db.Run.findByPk(id, { include: [{ association: 'by', attributes: ['name', 'role'] }] })
  if (!row) throw notFound('run')
  const events = await db.RunEvent.findAll({ attributes: ['event'], where: { runId: id }, order: [['at', 'asc']], raw: true })
  const filmRows = await filmsWhere(db, { runId: id })
  const plan = readPlan(row.plan)
  return {
    ...row.get(),
    by: nameOf(row.by),
    byMember: row.by?.role === 'member',
    plan,
    request: readRequest(row.request, plan.vessel.kind),
    vessel: plan.vessel.name,
    processName: plan.processName,
    rolls: plan.rolls,
    films: filmRows.map((film) => film.film),
    eis: filmRows.map((film) => film.ei),
    results: filmRows.map((film) => film.result),
    owners: filmRows.map((film) => film.member),
    events: events.map((one) => one.event),
    filmRows,
  }
}

/** The run, where it is in one of those states. */
export function requireState(run: Run, states: Run['state'][]): Run {
  if (!states.includes(run.state))
    throw new Refusal(409, 'run-state', `Run ${run.number} is ${run.state}: that is not possible any more.`, { current: run })
  return run
}

/** The run with its row locked, in the state wanted; `version` where the caller names one. */
export async function lockRun(db: Database, id: string, states: Run['state'][], version?: number): Promise<Run> {
  await db.Run.findByPk(id, { attributes: ['id'], lock: true })
  const run = await runRow(db, id)
  if (version !== undefined && run.version !== version)
    throw new Refusal(409, 'stale', 'Someone changed this run meanwhile. The page shows where it stands.', { current: run })
  return requireState(run, states)
}

/**
 * What happened on the clock; an event that is here already counts once. What comes from a device another has taken over from is marked; so is who takes it over on duty. Answers the events as they are kept now.
 */
export async function keepEvents(db: Database, run: Run, sent: RunEvent[], who: Who): Promise<RunEvent[]> {
  const onDuty = (event: RunEvent): RunEvent => (who.role === 'technician' && event.kind === 'take-over' ? { ...event, duty: true } : event)
  const events = markLate(run.events, sent.map(onDuty))
  if (events.length > 0)
    await db.RunEvent.bulkCreate(
      events.map((event) => ({ id: event.id, runId: run.id, event, at: event.at, byPerson: who.id })),
      { ignoreDuplicates: true },
    )
  const known = new Map(run.events.map((event) => [event.id, event]))
  return events.map((event) => known.get(event.id) ?? event)
}
