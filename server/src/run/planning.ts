import { planFor, showTime, usesAtStart, wantsOf, type Finding, type Plan } from '@selvrin/core'
import { api, type ChartRow, type PlanRequest, type Run, type Vessel } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { lockBottles } from '../bottle/ledger'
import { bottlesById } from '../bottle/rows'
import { chartRows } from '../chart/routes'
import { Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { lockRun, runRow, vesselRows } from './rows'
import { writeUses } from './uses'

/** s a time may differ before it is another time */
const sameS = 0.5

/** Planning a run, which promises it its vessel, liquids and capacity; and starting it, when all of that is looked at again. */
export function planningRoutes(router: Router, house: House): void {
  const { db } = house

  /** What a request comes to with what is on the shelf now; what the run itself is promised does not count against it. */
  async function planNow(request: PlanRequest, exceptRun: string | null, now: number, tx: Transaction | undefined): Promise<Plan> {
    const bottleIds = request.baths.map((bath) => bath.bottleId)
    return planFor(request, {
      vessels: await db.rows<Vessel>(`${vesselRows} where id = $1`, [request.vesselId], tx),
      bottles: await bottlesById(db, bottleIds, now, tx, exceptRun),
      chart: await db.rows<ChartRow>(`${chartRows} where c.id = any($1::uuid[])`, [request.chartRowIds], tx),
    })
  }

  async function promise(runId: string, plan: Plan, tx: Transaction | undefined): Promise<void> {
    await db.run('delete from run_bath where run_id = $1', [runId], tx)
    await db.run(
      `insert into run_bath (run_id, step, bottle_id, parts, ml, equivalents, one_shot)
       select $1, w.step, w."bottleId", w.parts, w.ml, w.equivalents, w."oneShot"
       from jsonb_to_recordset($2::jsonb) as w(step int, "bottleId" uuid, parts numeric[], ml numeric, equivalents numeric, "oneShot" boolean)`,
      [runId, JSON.stringify(wantsOf(plan))],
      tx,
    )
  }

  route(router, house, api.run.plan, async ({ body, who, now, tx }) => {
    const { request } = body
    // two who plan on the same bottles at once are told of each other
    await lockBottles(
      db,
      request.baths.map((bath) => bath.bottleId),
      tx,
    )
    const plan = await planNow(request, null, now, tx)
    const worst = plan.findings.find((finding) => finding.severity === 'error')
    if (worst && body.overrule === undefined) throw new Refusal(422, worst.rule, worst.message)
    await db.run(`select pg_advisory_xact_lock(hashtext('run number'))`, [], tx)
    await db.run(
      `insert into run (id, number, plan, request, overruled, planned_by, planned_at) select $1, coalesce(max(number), 0) + 1, $2, $3, $4, $5, $6 from run`,
      [body.id, JSON.stringify(plan), JSON.stringify(request), worst ? (body.overrule ?? null) : null, who.id, new Date(now)],
      tx,
    )
    await promise(body.id, plan, tx)
    const developer = plan.steps.find((step) => step.kind === 'develop')?.bottle
    await db.run(
      `insert into roll (id, run_id, member_id, film, format, ei, developer, temperature_c, at, slow_clearing)
       select f.id, $2, f."memberId", f.film, f.format, f.ei, $3, $4, $5, f."slowClearing"
       from jsonb_to_recordset($1::jsonb) as f(id uuid, "memberId" uuid, film text, format text, ei int, "slowClearing" boolean)`,
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
    const kept = await db.one<{ request: PlanRequest }>('select request from run where id = $1', [run.id], tx)
    const request = kept?.request as PlanRequest
    await db.rows('select id from vessel where id = $1 for update', [request.vesselId], tx)
    await lockBottles(
      db,
      request.baths.map((bath) => bath.bottleId),
      tx,
    )
    const plan = await planNow(request, run.id, now, tx)
    const [other] = plan.vessel.running ?? []
    if (other !== undefined)
      throw new Refusal(
        409,
        'vessel-running',
        `${plan.vessel.name} is in run ${other}, which is not over. Finish or give that one up first.`,
      )
    refuseNew(run, plan)
    await requireAtHand(run.id, plan, tx)
    const changed = changesOf(run.plan, plan)
    if (changed.length > 0 && !body.agreed)
      throw new Refusal(
        409,
        'plan-changed',
        `Since it was planned: ${changed.join(', ')}. Look at it again; nothing has been taken from the bottles.`,
        { current: { ...run, plan } },
      )
    const taken = changed.length > 0 ? plan : run.plan
    await promise(run.id, taken, tx)
    await writeUses(db, { ...run, plan: taken }, usesAtStart(taken), { by: who.id, at: now, strict: true, now }, tx)
    await db.run(
      `update run set state = 'running', started_at = $2, plan = $3, version = version + 1 where id = $1`,
      [run.id, new Date(body.at), JSON.stringify(taken)],
      tx,
    )
    return runRow(db, run.id, tx)
  })

  /** What is poured back stands in a tank while its run is on: the rest has to be enough. */
  async function requireAtHand(runId: string, plan: Plan, tx: Transaction | undefined): Promise<void> {
    const out = await db.rows<{ bottleId: string; ml: number; runs: number[] }>(
      `select b.bottle_id as "bottleId", sum(b.ml) as ml, array_agg(distinct r.number) as runs from run_bath b join run r on r.id = b.run_id
       where r.state = 'running' and not b.one_shot and r.id <> $1 group by b.bottle_id`,
      [runId],
      tx,
    )
    for (const step of plan.steps) {
      const away = out.find((one) => one.bottleId === step.bottle?.id)
      if (!step.bottle || step.bottle.oneShot || !away) continue
      const left = step.bottle.volumeMl - away.ml
      if (left < (step.partsMl[0] ?? 0) - 1e-6)
        throw new Refusal(
          409,
          'in-use',
          `${step.name} needs ${(step.partsMl[0] ?? 0).toFixed(0)} ml of ${step.bottle.label}, and ${Math.max(0, left).toFixed(0)} ml are left while run ${away.runs.join(', ')} has the rest in its tank. Wait until it is poured back.`,
        )
    }
  }
}

/** Refuses what speaks against a run that did not when it was planned. */
function refuseNew(run: Run, plan: Plan): void {
  const errors = (findings: Finding[]) => findings.filter((finding) => finding.severity === 'error')
  const known = errors(run.plan.findings)
  const [against] = errors(plan.findings).filter(
    (one) => run.overruled === null || !known.some((old) => old.rule === one.rule && old.step === one.step),
  )
  if (against)
    throw new Refusal(
      409,
      against.rule,
      `${against.message} That was not so when it was planned: drop this run and plan it again, with another bottle or with the reason.`,
    )
}

/** What the clock or the beakers would do otherwise than planned, in words. */
function changesOf(before: Plan, after: Plan): string[] {
  return after.steps.flatMap((step, i) => {
    const old = before.steps[i]
    if (!old) return [`${step.name} is new`]
    const said: string[] = []
    if (Math.abs(old.seconds - step.seconds) > sameS) {
      const factor = after.developing?.steps.find((one) => one.name === 'used bath')
      const why = step.time === 'chart' && factor ? ' for the use of its bath' : ''
      said.push(`${step.name} takes ${showTime(step.seconds)} instead of ${showTime(old.seconds)}${why}`)
    }
    if (Math.abs((old.partsMl[0] ?? 0) - (step.partsMl[0] ?? 0)) > sameS && step.bottle)
      said.push(
        `${step.name} takes ${(step.partsMl[0] ?? 0).toFixed(0)} ml of ${step.bottle.label} instead of ${(old.partsMl[0] ?? 0).toFixed(0)} ml`,
      )
    return said
  })
}
