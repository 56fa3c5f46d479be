import type { Acted, NewLine } from '../bottle/acts/act'
import { conflict } from '../error'
import type { Finding } from '../finding'
import { usesAtStart } from '../process/uses'
import type { Plan } from '../process/load'
import { showTime } from '../quantity/format'
import { linesOfUses } from './uses'

/** s a time, or ml a volume may differ before it is another */
const same = 0.5

/** A run as it was planned. */
export interface PlannedRun {
  id: string
  plan: Plan
  /** why it was planned in spite of what spoke against it */
  overruled: string | null
}
/** Liquid that stands in a tank while its run is on. */
export interface Away {
  bottleId: string
  ml: number
  run: number | undefined
}

/** What is poured back stands in a tank while its run is on: the rest has to be enough. */
function requireAtHand(plan: Plan, out: Away[]): void {
  for (const { name, bottle, partsMl } of plan.steps) {
    const away = out.filter((one) => one.bottleId === bottle?.id)
    if (!bottle || bottle.oneShot || away.length === 0) continue
    const wanted = partsMl[0] ?? 0
    const left = bottle.volumeMl - away.reduce((sum, one) => sum + one.ml, 0)
    const runs = [...new Set(away.map((one) => one.run))]
    if (left < wanted - 1e-6)
      throw conflict(
        'in-use',
        `${name} needs ${wanted.toFixed(0)} ml of ${bottle.label}, and ${Math.max(0, left).toFixed(0)} ml are left while run ${runs.join(', ')} has the rest in its tank. Wait until it is poured back.`,
      )
  }
}

const errors = (findings: Finding[]): Finding[] => findings.filter((finding) => finding.severity === 'error')

/** Refuses what speaks against a run that did not when it was planned. */
function refuseNew(run: PlannedRun, plan: Plan): void {
  const known = errors(run.plan.findings)
  const [against] = errors(plan.findings).filter(
    (one) => run.overruled === null || !known.some((old) => old.rule === one.rule && old.step === one.step),
  )
  if (against)
    throw conflict(
      against.rule,
      `${against.message} That was not so when it was planned: drop this run and plan it again, with another bottle or with the reason.`,
    )
}

/**
 * What the clock or the beakers would do otherwise than planned, in words.
 * @example
 * changesOf(run, { ...run, steps: run.steps.map((step) => ({ ...step, seconds: step.seconds + (step.kind === 'fix' ? 30 : 0) })) }) // → ['Fix takes 5:30 instead of 5:00']
 */
export function changesOf(before: Plan, after: Plan): string[] {
  return after.steps.flatMap((step, i) => {
    const old = before.steps[i]
    if (!old) return [`${step.name} is new`]
    const said: string[] = []
    if (Math.abs(old.seconds - step.seconds) > same) {
      const factor = after.developing?.steps.find((one) => one.name === 'used bath')
      const why = step.time === 'chart' && factor ? ' for the use of its bath' : ''
      said.push(`${step.name} takes ${showTime(step.seconds)} instead of ${showTime(old.seconds)}${why}`)
    }
    const [ml = 0, oldMl = 0] = [step.partsMl[0], old.partsMl[0]]
    if (Math.abs(oldMl - ml) > same && step.bottle)
      said.push(`${step.name} takes ${ml.toFixed(0)} ml of ${step.bottle.label} instead of ${oldMl.toFixed(0)} ml`)
    return said
  })
}

/**
 * What is written when a planned run is begun: all that was planned is looked at again as it comes out `now`, and what is used once leaves its bottles. What changed is
 * taken only where it was agreed to.
 * @throws Refused 'vessel-running', 'in-use', 'plan-changed', 'not-enough', or the rule of a finding that is new
 * @example
 * decideStart({ run: { id: 'r', plan: run, overruled: null }, plan: run, away: [], bottles: [{ ...acted, id: 'd1' }] }, { agreed: false }).lines.map((line) => [line.bottleId, line.ml]) // → [['d1', -150]]
 */
export function decideStart(
  { run, plan, away, bottles }: { run: PlannedRun; plan: Plan; away: Away[]; bottles: Acted[] },
  { agreed }: { agreed: boolean },
): { plan: Plan; lines: NewLine[] } {
  const [other] = plan.vessel.running ?? []
  if (other !== undefined)
    throw conflict('vessel-running', `${plan.vessel.name} is in run ${other}, which is not over. Finish or give that one up first.`)
  refuseNew(run, plan)
  requireAtHand(plan, away)
  const changed = changesOf(run.plan, plan)
  if (changed.length > 0 && !agreed)
    throw conflict(
      'plan-changed',
      `Since it was planned: ${changed.join(', ')}. Look at it again; nothing has been taken from the bottles.`,
      { current: { ...run, plan } },
    )
  const taken = changed.length > 0 ? plan : run.plan
  return { plan: taken, lines: linesOfUses(usesAtStart(taken), bottles, { runId: run.id, strict: true }) }
}
