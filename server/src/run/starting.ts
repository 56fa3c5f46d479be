import { showTime, usesAtStart, type Finding, type Plan } from '@selvrin/core'
import type { api, PlanRequest, Run } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { lockBottles } from '../bottle/ledger'
import { asSeen, saveNext } from '../http/changing'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { planNow, promise } from './planning'
import { lockRun, runRow } from './rows'
import { writeUses } from './uses'

/** s a time may differ before it is another time */
const sameS = 0.5

/** What is poured back stands in a tank while its run is on: the rest has to be enough. */
async function requireAtHand(db: Database, runId: string, plan: Plan): Promise<void> {
  const out = await db.RunBath.findAll({
    where: { oneShot: false, runId: { [Op.ne]: runId } },
    include: [{ association: 'run', attributes: ['number'], where: { state: 'running' } }],
  })
  for (const { name, bottle, partsMl } of plan.steps) {
    const away = out.filter((one) => one.bottleId === bottle?.id)
    if (!bottle || bottle.oneShot || away.length === 0) continue
    const wanted = partsMl[0] ?? 0
    const left = bottle.volumeMl - away.reduce((sum, one) => sum + one.ml, 0)
    const runs = [...new Set(away.map((one) => one.run?.number))]
    if (left < wanted - 1e-6)
      throw new Refusal(
        409,
        'in-use',
        `${name} needs ${wanted.toFixed(0)} ml of ${bottle.label}, and ${Math.max(0, left).toFixed(0)} ml are left while run ${runs.join(', ')} has the rest in its tank. Wait until it is poured back.`,
      )
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
    const [ml = 0, oldMl = 0] = [step.partsMl[0], old.partsMl[0]]
    if (Math.abs(oldMl - ml) > sameS && step.bottle)
      said.push(`${step.name} takes ${ml.toFixed(0)} ml of ${step.bottle.label} instead of ${oldMl.toFixed(0)} ml`)
    return said
  })
}

/** The liquids are measured out: all that was planned is looked at again, and what is used once is taken from its bottles. */
export const start: Handler<typeof api.run.start> = async ({ db, params, body, who, now }) => {
  const run = await lockRun(db, params.id, ['planned'], body.version)
  const request = run.request as PlanRequest
  await db.Vessel.findByPk(request.vesselId, { attributes: ['id'], lock: true })
  await lockBottles(
    db,
    request.baths.map((bath) => bath.bottleId),
  )
  const plan = await planNow(db, request, run.id, now)
  const [other] = plan.vessel.running ?? []
  if (other !== undefined)
    throw new Refusal(409, 'vessel-running', `${plan.vessel.name} is in run ${other}, which is not over. Finish or give that one up first.`)
  refuseNew(run, plan)
  await requireAtHand(db, run.id, plan)
  const changed = changesOf(run.plan, plan)
  if (changed.length > 0 && !body.agreed)
    throw new Refusal(
      409,
      'plan-changed',
      `Since it was planned: ${changed.join(', ')}. Look at it again; nothing has been taken from the bottles.`,
      { current: { ...run, plan } },
    )
  const taken = changed.length > 0 ? plan : run.plan
  await promise(db, run.id, taken)
  await writeUses(db, { ...run, plan: taken }, usesAtStart(taken), { by: who.id, at: now, strict: true, now })
  const row = asSeen(db.Run, { id: run.id, version: run.version })
  await saveNext(row.set({ state: 'running', startedAt: body.at, plan: taken }))
  return runRow(db, run.id)
}
