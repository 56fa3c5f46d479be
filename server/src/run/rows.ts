import type { RunEvent } from '@selvrin/core'
import type { Roll, Run, RunSummary } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { notFound, Refusal } from '../http/refusal'

const runsIn = (state: string): string =>
  `array(select r.number from run r where r.state = '${state}' and r.plan -> 'vessel' ->> 'id' = vessel.id::text order by r.number)`
export const vesselRows = `select id, version, name, kind, format, reels, covers_ml as "coversMl", carry_ml as "carryMl",
  ${runsIn('running')} as running, ${runsIn('planned')} as planned from vessel`

export const runSummaries = `
  select r.id, r.version, r.number, r.state, r.plan -> 'vessel' ->> 'name' as vessel, r.plan ->> 'processName' as "processName",
    array(select film from roll where run_id = r.id order by id) as films, (r.plan ->> 'rolls')::numeric as rolls, coalesce(p.name, 'someone who left') as by,
    r.planned_at as "plannedAt", r.started_at as "startedAt", r.ended_at as "endedAt"
  from run r left join person p on p.id = r.planned_by`

const rollRows = `
  select o.id, o.version, o.run_id as "runId", r.number as "runNumber", o.member_id as "memberId", coalesce(p.name, 'someone who left') as member, o.film, o.format, o.ei,
    o.developer, o.developed_s as "developedS", o.temperature_c as "temperatureC", o.at, o.result, o.contrast, o.note,
    coalesce((select jsonb_agg(jsonb_build_object('id', m.id, 'at', (extract(epoch from m.at) * 1000)::bigint, 'text', m.text, 'helps', m.helps,
      'clearedAt', (extract(epoch from m.cleared_at) * 1000)::bigint, 'cleared', m.cleared) order by m.id) from roll_mark m where m.roll_id = o.id), '[]'::jsonb) as marks
  from roll o join run r on r.id = o.run_id left join person p on p.id = o.member_id`

/** Films newest first; of one member, or of everyone. */
export const rollsOf = (db: Database, ask: { memberId: string | null; limit: number; after: string | null }): Promise<Roll[]> =>
  db.rows<Roll>(
    `${rollRows} where not o.taken_back and ($1::uuid is null or o.member_id = $1) and ($2::uuid is null or o.id < $2) order by o.id desc limit $3`,
    [ask.memberId, ask.after, ask.limit],
  )

export async function rollRow(db: Database, id: string, tx?: Transaction): Promise<Roll> {
  const row = await db.one<Roll>(`${rollRows} where o.id = $1`, [id], tx)
  if (!row) throw notFound('film')
  return row
}

export async function runRow(db: Database, id: string, tx?: Transaction): Promise<Run> {
  const row = await db.one<RunSummary & Pick<Run, 'plan' | 'overruled' | 'request'>>(
    runSummaries.replace('r.id, r.version', 'r.id, r.plan, r.request, r.overruled, r.version') + ' where r.id = $1',
    [id],
    tx,
  )
  if (!row) throw notFound('run')
  const events = await db.rows<{ event: RunEvent }>('select event from run_event where run_id = $1 order by at', [id], tx)
  const filmRows = await db.rows<Roll>(`${rollRows} where o.run_id = $1 order by o.id`, [id], tx)
  return { ...row, events: events.map((one) => one.event), filmRows }
}

/** The run with its row locked, in the state wanted; `version` where the caller names one. */
export async function lockRun(
  db: Database,
  id: string,
  states: Run['state'][],
  tx: Transaction | undefined,
  version?: number,
): Promise<Run> {
  await db.rows('select id from run where id = $1 for update', [id], tx)
  const run = await runRow(db, id, tx)
  if (version !== undefined && run.version !== version)
    throw new Refusal(409, 'stale', 'Someone changed this run meanwhile. The page shows where it stands.', { current: run })
  if (!states.includes(run.state))
    throw new Refusal(409, 'run-state', `Run ${run.number} is ${run.state}: that is not possible any more.`, { current: run })
  return run
}

export const keepEvents = (db: Database, runId: string, events: RunEvent[], by: string, tx: Transaction | undefined): Promise<void> =>
  events.length === 0
    ? Promise.resolve()
    : db.run(
        `insert into run_event (id, run_id, event, at, by_person)
         select (e ->> 'id')::uuid, $2, e, to_timestamp((e ->> 'at')::numeric / 1000), $3 from jsonb_array_elements($1::jsonb) as e on conflict (id) do nothing`,
        [JSON.stringify(events), runId, by],
        tx,
      )
