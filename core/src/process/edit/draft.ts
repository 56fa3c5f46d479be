import { DomainError } from '../../error'
import type { Finding } from '../../finding'
import { compilePlan } from '../compilePlan'
import type { Plan, PlanBottle } from '../load'
import { requireWhole, stepsOf, type ProcessBody } from '../process'
import type { Agitation, ProcessStep } from '../step'
import { developsFirst } from '../stepFacts'
import { changeStep, free, removeStep } from './edit'

/** What a process comes to by itself: one film, half a litre, fresh bottles, a charted time of ten minutes. */
const usual = { coversMl: 500, charted: 600 }
const freshBottle = ({ id, name, family }: ProcessBody['roles'][number]): PlanBottle => ({
  ...{ id, name, label: name, family, parts: [1], volumeMl: 100_000, rollsLeft: null, minConcentrateMlPerRoll: 0 },
  ...{ findings: [], oneShot: false, timeFactor: 1, position: null },
})

/** How a finding of a process is mended, in words, and what it is then. */
export interface Mending {
  says: string
  process: ProcessBody
}
export interface DraftFinding extends Finding {
  /** of the step it is about */
  key?: string
  mend?: Mending
}
export interface Draft {
  /** null where it does not hold together */
  plan: Plan | null
  findings: DraftFinding[]
}

const fixStep: Omit<ProcessStep, 'key' | 'liquid'> = {
  ...{ kind: 'fix', name: 'Fix', time: { clearing: 2, s: 300 }, toleranceC: 2, light: 'tank', fate: 'back' },
}

/** What would mend a finding of a rule; nothing where only a technician can say. */
function mendingOf(process: ProcessBody, { rule }: Finding, key: string | undefined): Mending | undefined {
  const step = process.steps.find((one) => one.key === key)
  const without = (says: string): Mending | undefined => {
    try {
      return key === undefined ? undefined : { says, process: removeStep(process, key) }
    } catch {
      return undefined
    }
  }
  if (rule === 'plan-rinse-after-last' || rule === 'plan-wash-between') return without(`Leave ${step?.name ?? 'it'} out`)
  if (rule === 'plan-light' && step) return { says: 'Keep the tank closed', process: changeStep(process, step.key, { light: 'tank' }) }
  if (rule === 'plan-no-fix') {
    // behind the last developer, or the stop that ends it
    const developed = process.steps.findLastIndex((one) => one.kind === 'develop' || one.kind === 'second-develop' || one.kind === 'stop')
    const keys = process.steps.map((one) => one.key)
    const [made, role] = [free('fix', keys), process.roles.find((one) => one.family === 'fixer')]
    const roleId = role?.id ?? free('fixer', process.roles.map((one) => one.id)) // prettier-ignore
    const roles = role ? process.roles : [...process.roles, { id: roleId, name: 'Fixer', family: 'fixer' }]
    const added: ProcessStep = { ...fixStep, key: made, liquid: { role: roleId } }
    return {
      says: 'Add a fixing bath',
      process: { ...process, roles, steps: [...process.steps.slice(0, developed + 1), added, ...process.steps.slice(developed + 1)] },
    }
  }
  return undefined
}

/**
 * A process as it is written, worked out for one film and fresh bottles: its plan, and what is wrong with it, each with its step and how it is mended where there is a way.
 * @example
 * draftOf(houseProcesses[0], { 'wetting-agent': false }).findings // → []
 */
export function draftOf(process: ProcessBody, options: Record<string, boolean> = {}, agitation?: Agitation): Draft {
  try {
    requireWhole(process)
    const first = stepsOf(process, options).find(developsFirst)
    const temperatureC = first?.atC ?? 20
    const plan = compilePlan(
      { ...process, id: 'draft' },
      {
        vessel: { id: 'v', name: 'The tank', kind: process.vessel ?? 'hand', reels: 1, coversMl: usual.coversMl, holdsMl: usual.coversMl },
        films: [{ format: '135-36', count: 1 }],
        chart: [{ temperatureC, seconds: usual.charted }],
        ...{ temperatureC, pushStops: 0, options },
        ...(agitation ? { agitation } : {}),
      },
      process.roles.map((role) => ({ role: role.id, bottle: freshBottle(role) })),
    )
    return {
      plan,
      findings: plan.findings.map((finding) => {
        const key = finding.step === undefined ? undefined : plan.steps[finding.step]?.key
        const mend = mendingOf(process, finding, key)
        return { ...finding, ...(key === undefined ? {} : { key }), ...(mend ? { mend } : {}) }
      }),
    }
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return { plan: null, findings: [{ rule: error.code, severity: 'error', message: error.message }] }
  }
}
