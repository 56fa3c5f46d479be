import { runClock, usesAtEnd, type Plan, type RunClock } from '@selvrin/core'
import { api, type Run } from '@selvrin/core/contract'
import type { Router } from 'express'
import { takeLinesBack, type Line } from '../bottle/takeBack'
import { Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { keepEvents, lockRun, runRow } from './rows'
import { writeUses } from './uses'

/** s the film was developed, and °C it was: the mean over the step where it was measured in it. */
function developedOf(plan: Plan, clock: RunClock): { seconds: number | null; celsius: number } {
  const time = clock.times.find((one) => plan.steps[one.step]?.kind === 'develop')
  const seconds = time?.endedAt ? (time.endedAt - time.startedAt) / 1000 : null
  const readings = time?.moved?.readings
  if (!readings || seconds === null || seconds <= 0) return { seconds, celsius: plan.temperatureC }
  const until = [...readings, { s: Math.max(seconds, readings.at(-1)?.s ?? 0), c: readings.at(-1)?.c ?? plan.temperatureC }]
  const area = until.slice(1).reduce((sum, b, i) => {
    const a = until[i] as { s: number; c: number }
    return sum + ((a.c + b.c) / 2) * (b.s - a.s)
  }, 0)
  return { seconds, celsius: area / (until.at(-1)?.s ?? seconds) }
}

/** How runs end: out and written down, given up, or taken back whole. */
export function endingRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.run.finish, async ({ params, body, who, now, tx }) => {
    const run = await lockRun(db, params.id, ['running'], tx, body.version)
    await keepEvents(db, run.id, body.events, who.id, tx)
    const clock = runClock(run.plan, [...run.events, ...body.events], body.at)
    if (clock.phase !== 'done')
      throw new Refusal(409, 'not-over', 'The clock has steps to go. Finish them, or give the run up with a reason.')
    await writeUses(db, run, usesAtEnd(run.plan), { by: who.id, at: now, strict: false, now }, tx)
    await writeFilms(run, clock, body.at)
    await db.run(
      `update run set state = 'done', ended_at = $2, why = nullif($3, ''), version = version + 1 where id = $1`,
      [run.id, new Date(body.at), body.note],
      tx,
    )
    return runRow(db, run.id, tx)

    async function writeFilms(of: Run, at: RunClock, endedAt: number): Promise<void> {
      const developed = developedOf(of.plan, at)
      await db.run(
        'update roll set developed_s = $2, temperature_c = $3, at = $4, version = version + 1 where run_id = $1',
        [of.id, developed.seconds, developed.celsius, new Date(endedAt)],
        tx,
      )
    }
  })

  route(router, house, api.run.abandon, async ({ params, body, who, now, tx }) => {
    const run = await lockRun(db, params.id, ['planned', 'running'], tx, body.version)
    // what the device knows comes first: it says which baths the film really was in
    await keepEvents(db, run.id, body.events, who.id, tx)
    const clock = runClock(run.plan, [...run.events, ...body.events], body.at)
    const reached = new Set(clock.times.map((time) => time.step))
    if (run.state === 'running')
      await writeUses(
        db,
        run,
        usesAtEnd(run.plan).filter((use) => reached.has(use.step)),
        { by: who.id, at: now, strict: false, now },
        tx,
      )
    else await db.run('delete from roll where run_id = $1', [run.id], tx)
    await db.run(
      `update run set state = 'abandoned', ended_at = $2, why = $3, version = version + 1 where id = $1`,
      [run.id, new Date(body.at), body.reason],
      tx,
    )
    await releaseBaths(run.id)
    return { done: true as const }

    /** nothing is promised to it any more: its bottles are told */
    async function releaseBaths(runId: string): Promise<void> {
      await db.run('update run_bath set ml = ml where run_id = $1', [runId], tx)
    }
  })

  route(router, house, api.run.takeBack, async ({ params, body, who, now, tx }) => {
    const run = await lockRun(db, params.id, ['done', 'abandoned'], tx, body.version)
    const lines = await db.rows<Line>(
      `select e.id, e.bottle_id as "bottleId", e.kind, e.ml, e.proof_id as "proofId" from bottle_entry e
       where e.run_id = $1 and e.kind <> 'reverse' and not exists (select from bottle_entry x where x.reverses = e.id) order by e.seq`,
      [run.id],
      tx,
    )
    await takeLinesBack(db, lines, { by: who.id, now, reason: `Run ${run.number} taken back: ${body.reason}` }, tx)
    await db.run('update roll set taken_back = true, version = version + 1 where run_id = $1', [run.id], tx)
    await db.run(`update run set state = 'taken-back', taken_back_why = $2, version = version + 1 where id = $1`, [run.id, body.reason], tx)
    return runRow(db, run.id, tx)
  })
}
