import { optionGroups } from '../optionGroups'
import { chosenOptions, rolesOf, type ProcessBody, type ProcessOption } from '../process'

/** The roles that only count while an option is on. */
const rolesOnlyOf = (process: ProcessBody, option: ProcessOption): string[] => {
  const off = rolesOf({ ...process, options: process.options.map((one) => ({ ...one, on: false })) }).map((role) => role.id)
  const on = rolesOf({ ...process, options: process.options.map((one) => ({ ...one, on: one === option })) }).map((role) => role.id)
  return on.filter((role) => !off.includes(role))
}

/**
 * The options to begin with: as the process has them, but what wants a bath that nobody has on the shelf gives way to the next of its group, or stays off.
 * `serves` says whether something on the shelf can take a role.
 * @example
 * servedOptions(houseProcesses[0], (role) => role !== 'stop') // → { 'water-stop': true }
 */
export function servedOptions(process: ProcessBody, serves: (role: string) => boolean): Record<string, boolean> {
  const can = (option: ProcessOption) => rolesOnlyOf(process, option).every(serves)
  const { groups, single } = optionGroups(process)
  const turned: Record<string, boolean> = {}
  for (const option of single) if (option.on && !can(option)) turned[option.id] = false
  for (const { options } of groups) {
    const first = options.find((one) => one.on)
    const instead = first && !can(first) ? options.find(can) : undefined
    if (instead) turned[instead.id] = true
  }
  return turned
}

/**
 * The role of a second bath of the same kind, such as the second fixer; and the option under which it counts.
 * @example
 * secondOf(houseProcesses[0], 'fixer') // → { role: 'second-fixer', option: 'two-fix' }
 */
export function secondOf(process: ProcessBody, role: string): { role: string; option: string | undefined } | null {
  const at = process.roles.findIndex((one) => one.id === role)
  const second = process.roles.find((one, i) => i > at && one.family === process.roles[at]?.family)
  if (at < 0 || !second) return null
  return { role: second.id, option: process.options.find((one) => rolesOnlyOf(process, one).includes(second.id))?.id }
}

/**
 * Every option as it stands, by id, as it is sent with a plan.
 * @example
 * optionsOn(houseProcesses[0], { 'water-stop': true })['acid-stop'] // → false
 */
export const optionsOn = (process: ProcessBody, chosen: Record<string, boolean>): Record<string, boolean> =>
  Object.fromEntries(chosenOptions(process, chosen).map((one) => [one.id, one.on]))
