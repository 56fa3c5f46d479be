import type { Finding } from '../../finding'
import { showVolume } from '../../quantity/format'
import type { Plan, PlanStep } from '../load'
import { loadCarryMl } from '../loaded'
import { isSaved, savedFrom } from '../stepFacts'
import { ofSteps, type Check } from './check'

/* The bottles a plan takes: what is in them, how much, and whether they may be used. */

export const bottles: Check = (plan) => plan.steps.flatMap((step, i) => bottleFindings(plan, step, i))

function bottleFindings(plan: Plan, step: PlanStep, i: number): Finding[] {
  const { bottle } = step
  if (!bottle) return []
  const at = { step: i }
  // a bottle that stands in two steps is used twice: said once, at the first of them
  const same = plan.steps.filter((one) => one.bottle?.id === bottle.id && savedFrom(one) === null)
  if (same[0] !== step) return []
  const needed = bottle.oneShot ? same.reduce((sum, one) => sum + (one.partsMl[0] ?? 0), 0) : (step.partsMl[0] ?? 0)
  // what was saved of it counts the second time too
  const rolls = plan.rolls * plan.steps.filter((one) => one.bottle?.id === bottle.id).length
  const promised = bottle.reservedFor?.length ? ` (the rest is reserved for run ${bottle.reservedFor.join(', ')})` : ''
  const findings: Finding[] = bottle.findings
    .filter((finding) => finding.severity === 'error')
    .map((finding) => ({ rule: 'plan-bottle', severity: 'error', ...at, message: `${bottle.label} cannot be used: ${finding.message}` }))
  if (bottle.partOf !== undefined)
    findings.push({
      rule: 'plan-part',
      severity: 'error',
      ...at,
      message: `${bottle.label} ${bottle.name} is only a part of ${bottle.partOf}: pour its parts together first, and take that.`,
    })
  for (const doubt of bottle.findings.filter((finding) => finding.rule === 'bottle-ph'))
    findings.push({
      rule: 'plan-bottle-ph',
      severity: 'warning',
      ...at,
      message: `${bottle.label}: ${doubt.message} Try it on a scrap first.`,
    })
  if (needed > bottle.volumeMl + 1e-6)
    findings.push({
      rule: 'plan-volume',
      severity: 'error',
      ...at,
      message: `${step.name} needs ${showVolume(needed)} from ${bottle.label}, which holds ${showVolume(Math.max(0, bottle.volumeMl))}${promised}: take another bottle or fewer films.`,
    })
  if (bottle.rollsLeft !== null && bottle.rollsLeft < rolls - 1e-9 && !bottle.oneShot)
    findings.push({
      rule: 'plan-capacity',
      severity: 'error',
      ...at,
      message: `${bottle.label} is good for ${Math.max(0, bottle.rollsLeft).toFixed(1)} more rolls${promised} and this load is ${rolls.toFixed(1)}: take another bottle or fewer films.`,
    })
  // what is carried out of a liquid that is saved stands in it at first
  const holdsMl = (plan.vessel.holdsMl ?? plan.vessel.coversMl) + (isSaved(step) ? loadCarryMl(plan) : 0)
  if (bottle.oneShot && step.volumeMl > holdsMl * 1.001)
    findings.push({
      rule: 'plan-concentrate',
      severity: 'error',
      ...at,
      message: `At ${bottle.parts.join('+')} this load needs ${showVolume(step.volumeMl)} to hold enough developer, more than the ${showVolume(holdsMl)} ${plan.vessel.name} takes: fewer films, or a stronger dilution.`,
    })
  return findings
}

export const twoBathFix: Check = (plan) => {
  const all = plan.steps.flatMap((step, i) => (step.kind === 'fix' && step.bottle ? [{ i, bottle: step.bottle }] : []))
  // the same bath once more is no second bath
  const fixes = all.filter((one, i) => all.findIndex((other) => other.bottle.id === one.bottle.id) === i)
  const [first, second] = fixes
  if (!first || (first.bottle.position == null && !second)) return []
  if (!second)
    return [
      {
        rule: 'plan-second-bath',
        severity: 'error',
        step: first.i,
        message: `${first.bottle.label} is one of a pair: choose the other bath too, half the time goes into each.`,
      },
    ]
  return first.bottle.position === 1 && second.bottle.position === 2
    ? []
    : [
        {
          rule: 'plan-bath-order',
          severity: 'error',
          step: second.i,
          message: `Two baths fix in order: the first bath of a pair, then its second. ${first.bottle.label} and ${second.bottle.label} are not that.`,
        },
      ]
}

/** A bleach that leaves a silver salt behind leaves it to the second developer as well: reversal wants one that takes the silver out. */
export const reversalBleach: Check = (plan) =>
  ofSteps(plan, 'plan-bleach', ({ kind, name, bottle }) =>
    plan.material === 'bw-slide' && kind === 'bleach' && bottle?.bleaches === 'other'
      ? {
          severity: 'error',
          message: `${name}: ${bottle.label} ${bottle.name} holds neither permanganate nor dichromate. It leaves the first picture in the film to blacken again: take a reversal bleach.`,
        }
      : null,
  )

export const testsDue: Check = (plan) =>
  plan.steps.flatMap((step, i) =>
    plan.critical && step.bottle
      ? (step.bottle.due ?? []).map((test) => ({
          rule: 'plan-test-due',
          severity: 'error' as const,
          step: i,
          message: `${step.bottle?.label ?? ''} is to be tested before these films: ${test}.`,
        }))
      : [],
  )
