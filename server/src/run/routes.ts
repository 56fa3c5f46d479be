import { planFor, runClock, usesAtEnd, usesAtStart, type BottleUse, type Plan } from '@selvrin/core'
import { api, type ChartRow, type Roll, type Run, type RunSummary, type Vessel } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntry } from '../bottle/ledger'
import { bottlesById, requireVolume } from '../bottle/rows'
import { chartRows } from '../chart/routes'
import { pageOf } from '../http/page'
import { notFound, Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { keepEvents, lockRun, rollRow, rollsOf, runRow, runSummaries, vesselRows } from './rows'

export function runRoutes(router: Router, house: House): void {
  const { db } = house

  /** Writes what a run did to its bottles; a bottle that holds less than the carry-out gives what it has. */
  async function writeUses(
    run: Run,
    uses: BottleUse[],
    by: string,
    at: number,
    strict: boolean,
    now: number,
    tx: Transaction | undefined,
  ): Promise<void> {
    await lockBottles(
      db,
      uses.map((use) => use.bottleId),
      tx,
    )
    const bottles = await bottlesById(
      db,
      uses.map((use) => use.bottleId),
      now,
      tx,
    )
    for (const use of uses) {
      const bottle = bottles.find((one) => one.id === use.bottleId)
      if (!bottle) continue
      if (strict) requireVolume(bottle, -use.ml)
      const ml = Math.max(use.ml, -bottle.state.volumeMl)
      await writeEntry(
        db,
        { id: uuid(), bottleId: use.bottleId, kind: use.kind, at, by, ml, rolls: use.rolls, waterInMl: use.waterInMl, runId: run.id },
        tx,
      )
    }
  }

  /** A bath that went bad after the plan was made is not poured without a reason. */
  async function stillUsable(run: Run, now: number, tx: Transaction | undefined): Promise<void> {
    if (run.overruled !== null) return
    const ids = [...new Set(run.plan.steps.flatMap((step) => step.bottle?.id ?? []))]
    for (const bottle of await bottlesById(db, ids, now, tx)) {
      const against = bottle.state.findings.find((finding) => finding.severity === 'error' && finding.rule !== 'bottle-empty')
      if (against)
        throw new Refusal(
          409,
          'plan-bottle',
          `${bottle.label} should not be used any more: ${against.message} Give this run up and plan it again, with another bottle or with the reason.`,
        )
    }
  }

  const developedS = (plan: Plan, run: ReturnType<typeof runClock>): number | null => {
    const time = run.times.find((one) => plan.steps[one.step]?.kind === 'develop')
    return time?.endedAt ? (time.endedAt - time.startedAt) / 1000 : null
  }

  route(router, house, api.run.vessels, async ({ query }) =>
    pageOf(
      await db.rows<Vessel>(`${vesselRows} where ($2::uuid is null or id > $2) order by id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  route(router, house, api.run.addVessel, async ({ body, tx }) => {
    await db.run(
      'insert into vessel (id, name, kind, format, reels, covers_ml, carry_ml) values ($1, $2, $3, $4, $5, $6, $7)',
      [body.id, body.name, body.kind, body.format, body.coversMl.length, body.coversMl, body.carryMl],
      tx,
    )
    return (await db.one<Vessel>(`${vesselRows} where id = $1`, [body.id], tx)) as Vessel
  })

  route(router, house, api.run.changeVessel, async ({ params, body, tx }) => {
    const changed = await db.rows(
      `update vessel set name = $3, kind = $4, format = $5, reels = $6, covers_ml = $7, carry_ml = $8, version = version + 1
       where id = $1 and version = $2 returning id`,
      [params.id, body.version, body.name, body.kind, body.format, body.coversMl.length, body.coversMl, body.carryMl],
      tx,
    )
    const vessel = await db.one<Vessel>(`${vesselRows} where id = $1`, [params.id], tx)
    if (!vessel) throw notFound('tank')
    if (changed.length === 0) throw stale(vessel)
    return vessel
  })

  route(router, house, api.run.list, async ({ query }) =>
    pageOf(
      await db.rows<RunSummary>(
        `${runSummaries} where ($1::text is null or r.state = $1) and ($2::uuid is null or r.number < (select number from run where id = $2)) order by r.number desc limit $3`,
        [query.state ?? null, query.after ?? null, query.limit + 1],
      ),
      query.limit,
    ),
  )

  route(router, house, api.run.get, ({ params }) => runRow(db, params.id))

  route(router, house, api.run.plan, async ({ body, who, now, tx }) => {
    const { request } = body
    const plan = planFor(request, {
      vessels: await db.rows<Vessel>(`${vesselRows} where id = $1`, [request.vesselId], tx),
      bottles: await bottlesById(
        db,
        request.baths.map((bath) => bath.bottleId),
        now,
        tx,
      ),
      chart: await db.rows<ChartRow>(`${chartRows} where c.id = any($1::uuid[])`, [request.chartRowIds], tx),
    })
    const worst = plan.findings.find((finding) => finding.severity === 'error')
    if (worst && body.overrule === undefined) throw new Refusal(422, worst.rule, worst.message)
    await db.run(`select pg_advisory_xact_lock(hashtext('run number'))`, [], tx)
    await db.run(
      `insert into run (id, number, plan, request, overruled, planned_by, planned_at) select $1, coalesce(max(number), 0) + 1, $2, $3, $4, $5, $6 from run`,
      [body.id, JSON.stringify(plan), JSON.stringify(request), worst ? (body.overrule ?? null) : null, who.id, new Date(now)],
      tx,
    )
    const developer = plan.steps.find((step) => step.kind === 'develop')?.bottle
    await db.run(
      `insert into roll (id, run_id, member_id, film, format, ei, developer, temperature_c, at)
       select f.id, $2, f."memberId", f.film, f.format, f.ei, $3, $4, $5 from jsonb_to_recordset($1::jsonb) as f(id uuid, "memberId" uuid, film text, format text, ei int)`,
      [
        JSON.stringify(request.films),
        body.id,
        developer ? `${developer.name} ${developer.parts.length > 1 ? developer.parts.join('+') : 'undiluted'}` : '',
        request.temperatureC,
        new Date(now),
      ],
      tx,
    )
    return runRow(db, body.id, tx)
  })

  route(router, house, api.run.start, async ({ params, body, who, now, tx }) => {
    const run = await lockRun(db, params.id, ['planned'], tx, body.version)
    await stillUsable(run, now, tx)
    await writeUses(run, usesAtStart(run.plan), who.id, now, true, now, tx)
    await db.run(`update run set state = 'running', started_at = $2, version = version + 1 where id = $1`, [run.id, new Date(body.at)], tx)
    return runRow(db, run.id, tx)
  })

  route(router, house, api.run.record, async ({ params, body, who, tx }) => {
    await lockRun(db, params.id, ['running', 'done', 'abandoned'], tx)
    await keepEvents(db, params.id, body.events, who.id, tx)
    return { kept: body.events.map((event) => event.id) }
  })

  route(router, house, api.run.finish, async ({ params, body, who, now, tx }) => {
    const run = await lockRun(db, params.id, ['running'], tx, body.version)
    await keepEvents(db, run.id, body.events, who.id, tx)
    const clock = runClock(run.plan, [...run.events, ...body.events], body.at)
    if (clock.phase !== 'done')
      throw new Refusal(409, 'not-over', 'The clock has steps to go. Finish them, or give the run up with a reason.')
    await writeUses(run, usesAtEnd(run.plan), who.id, now, false, now, tx)
    await db.run(
      'update roll set developed_s = $2, at = $3, version = version + 1 where run_id = $1',
      [run.id, developedS(run.plan, clock), new Date(body.at)],
      tx,
    )
    await db.run(
      `update run set state = 'done', ended_at = $2, why = nullif($3, ''), version = version + 1 where id = $1`,
      [run.id, new Date(body.at), body.note],
      tx,
    )
    return runRow(db, run.id, tx)
  })

  route(router, house, api.run.abandon, async ({ params, body, who, now, tx }) => {
    const run = await lockRun(db, params.id, ['planned', 'running'], tx, body.version)
    const reached = new Set(runClock(run.plan, run.events, body.at).times.map((time) => run.plan.steps[time.step]?.bottle?.id))
    if (run.state === 'running')
      await writeUses(
        run,
        usesAtEnd(run.plan).filter((use) => reached.has(use.bottleId)),
        who.id,
        now,
        false,
        now,
        tx,
      )
    else await db.run('delete from roll where run_id = $1', [run.id], tx)
    await db.run(
      `update run set state = 'abandoned', ended_at = $2, why = $3, version = version + 1 where id = $1`,
      [run.id, new Date(body.at), body.reason],
      tx,
    )
    return { done: true as const }
  })

  route(router, house, api.run.rolls, async ({ query, who }) =>
    pageOf(
      await rollsOf(db, { memberId: who.role === 'technician' ? null : who.id, limit: query.limit + 1, after: query.after ?? null }),
      query.limit,
    ),
  )

  route(router, house, api.run.judge, async ({ params, body, who, tx }): Promise<Roll> => {
    const roll = await rollRow(db, params.id, tx)
    if (who.role !== 'technician' && roll.memberId !== who.id) throw new Refusal(403, 'not-yours', 'You can judge your own films only.')
    const changed = await db.rows(
      'update roll set result = $3, contrast = $4, note = $5, version = version + 1 where id = $1 and version = $2 returning id',
      [params.id, body.version, body.result, body.contrast, body.note],
      tx,
    )
    if (changed.length === 0) throw stale(roll)
    return rollRow(db, params.id, tx)
  })

  route(router, house, api.run.clearMark, async ({ params, body, who, now, tx }) => {
    const cleared = await db.rows(
      'update roll_mark set cleared_at = $3, cleared = $4, cleared_by = $5 where id = $2 and roll_id = $1 and cleared_at is null returning id',
      [params.id, params.markId, new Date(now), body.what, who.id],
      tx,
    )
    if (cleared.length === 0) throw new Refusal(409, 'cleared', 'That mark has been cleared already, or is not on this film.')
    return rollRow(db, params.id, tx)
  })
}
