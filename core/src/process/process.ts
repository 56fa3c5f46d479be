import { DomainError } from '../error'
import type { ProcessBody } from './processBody'
import type { ProcessStep } from './step'

export type { ProcessBody } from './processBody'

export type ProcessOption = ProcessBody['options'][number]
export interface Process extends ProcessBody {
  id: string
}

/**
 * Options as they are chosen: those not named stay as the process has them; what is turned on turns the others of its group off.
 * @example
 * chosenOptions(houseProcesses[0], { 'water-stop': true }).filter((one) => one.on && one.group === 'stop').map((one) => one.id) // → ['water-stop']
 */
export function chosenOptions(process: ProcessBody, chosen: Record<string, boolean> = {}): ProcessOption[] {
  const asked = process.options.filter((one) => chosen[one.id] !== undefined)
  const taken = new Set(asked.filter((one) => chosen[one.id] && one.group).map((one) => one.group))
  return process.options.map((one) => {
    const said = chosen[one.id]
    return { ...one, on: said ?? (one.group && taken.has(one.group) ? false : one.on) }
  })
}

/**
 * The steps that count: those of no option, and those of an option that is on.
 * @example
 * stepsOf(houseProcesses[0], { 'pre-wet': true }).map((step) => step.key) // → ['pre-wet', 'develop', 'stop', 'fix', 'wash-1', 'wash-2', 'wash-3', 'wetting-agent']
 */
export function stepsOf(process: ProcessBody, chosen: Record<string, boolean> = {}): ProcessStep[] {
  const options = chosenOptions(process, chosen)
  return process.steps.filter((step) => {
    const its = options.filter((one) => one.steps.includes(step.key))
    return its.length === 0 || its.some((one) => one.on)
  })
}

/**
 * Roles that the steps that count take their liquid from, in the order of the process.
 * @example
 * rolesOf(houseProcesses[0], { 'water-stop': true }).map((role) => role.id) // → ['developer', 'fixer', 'wetting-agent']
 */
export function rolesOf(process: ProcessBody, chosen: Record<string, boolean> = {}): ProcessBody['roles'] {
  const used = new Set(
    stepsOf(process, chosen).flatMap((step) => (typeof step.liquid === 'object' && 'role' in step.liquid ? [step.liquid.role] : [])),
  )
  return process.roles.filter((one) => used.has(one.id))
}

/**
 * Refuses a process whose parts do not belong together: a key that stands twice, a role, step or option that names what is not there, a liquid that is taken before it is saved.
 * @throws DomainError 'process-broken' with the first that does not fit
 * @example
 * requireWhole(houseProcesses[0]) // → undefined
 */
export function requireWhole(process: ProcessBody): void {
  const broken = (message: string): never => {
    throw new DomainError('process-broken', message)
  }
  const twice = (ids: string[], what: string) => {
    const again = ids.find((id, i) => ids.indexOf(id) !== i)
    if (again !== undefined) broken(`The ${what} ${again} stands there twice. Give one of them another key.`)
  }
  const keys = process.steps.map((step) => step.key)
  const roles = process.roles.map((one) => one.id)
  twice(keys, 'step')
  twice(roles, 'role')
  twice(
    process.options.map((one) => one.id),
    'option',
  )
  for (const [i, { name, liquid, time }] of process.steps.entries()) {
    if (typeof liquid === 'object' && 'role' in liquid && !roles.includes(liquid.role))
      broken(`${name} takes a bath ${liquid.role}, which the process does not have.`)
    if (typeof liquid === 'object' && 'savedFrom' in liquid) {
      const from = process.steps.slice(0, i).find((one) => one.key === liquid.savedFrom)
      if (!from || typeof from.fate !== 'object' || !('saveAs' in from.fate))
        broken(`${name} takes what ${liquid.savedFrom} saved, and no earlier step saves it.`)
    }
    if (typeof time === 'object' && 'share' in time && !keys.includes(time.of))
      broken(`${name} takes a share of ${time.of}, which the process does not have.`)
    if (typeof time === 'object' && 'table' in time && new Set(time.table.map((one) => one.c)).size !== time.table.length)
      broken(`${name} has two times at one temperature.`)
  }
  for (const { name, steps } of process.options) {
    const missing = steps.find((one) => !keys.includes(one))
    if (missing !== undefined) broken(`The option “${name}” is about a step ${missing}, which the process does not have.`)
  }
  const groups = new Set(process.options.flatMap((one) => one.group ?? []))
  for (const group of groups)
    if (process.options.filter((one) => one.group === group && one.on).length !== 1)
      broken(`Of the choices of ${group} exactly one is on at first.`)
}
