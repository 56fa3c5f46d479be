import { DomainError } from '../../error'
import type { ProcessBody, ProcessOption } from '../process'
import type { ProcessStep } from '../step'
import { roleOf, savedFrom } from '../stepFacts'

/* A process while it is written: each act gives a new one and leaves the old as it was. */

/** A key that is not taken yet, as near to the wanted one as can be. */
export const free = (wanted: string, taken: string[]): string => {
  if (!taken.includes(wanted)) return wanted
  const stem = wanted.replace(/-\d+$/, '').slice(0, 36)
  for (let n = 2; ; n++) if (!taken.includes(`${stem}-${n}`)) return `${stem}-${n}`
}

const at = (process: ProcessBody, key: string): number => {
  const i = process.steps.findIndex((step) => step.key === key)
  if (i < 0) throw new DomainError('no-step', 'That step is no longer in the process.')
  return i
}

/**
 * A step put at another place among all steps, counted without itself.
 * @example
 * moveStep(houseProcesses[2], 'wetting-agent', 0).steps[0].key // → 'wetting-agent'
 */
export function moveStep(process: ProcessBody, key: string, to: number): ProcessBody {
  const step = process.steps[at(process, key)] as ProcessStep
  const rest = process.steps.filter((one) => one !== step)
  const place = Math.min(Math.max(Math.round(to), 0), rest.length)
  return { ...process, steps: [...rest.slice(0, place), step, ...rest.slice(place)] }
}

/** Options without steps that are gone; of each group that is left one is on, and one that stands alone is none. */
function tidy(options: ProcessOption[], keys: string[]): ProcessOption[] {
  const left = options
    .map((one) => ({ ...one, steps: one.steps.filter((key) => keys.includes(key)) }))
    .filter((one) => one.steps.length > 0)
  return left.map((one) => {
    if (one.group === undefined) return one
    const group = left.filter((other) => other.group === one.group)
    const { group: _, ...alone } = one
    // one of the group counted before, and it is the only one left
    if (group.length === 1) return { ...alone, on: true }
    return group.some((other) => other.on) ? one : { ...one, on: group[0] === one }
  })
}

/**
 * Without a step, and without the roles and options that nothing needs any more.
 * @throws DomainError 'step-needed' where another step takes its liquid or a share of its time; 'last-step'
 * @example
 * removeStep(houseProcesses[2], 'wash-running').options.some((one) => one.id === 'running') // → false
 */
export function removeStep(process: ProcessBody, key: string): ProcessBody {
  const gone = process.steps[at(process, key)] as ProcessStep
  const steps = process.steps.filter((one) => one.key !== key)
  const needs = steps.find((one) => savedFrom(one) === key || (typeof one.time === 'object' && 'share' in one.time && one.time.of === key))
  if (needs) throw new DomainError('step-needed', `${needs.name} needs ${gone.name}: change that step first.`)
  if (steps.length === 0) throw new DomainError('last-step', 'A process has at least one step.')
  const used = new Set(steps.map(roleOf))
  return {
    ...process,
    steps,
    roles: process.roles.filter((role) => used.has(role.id)),
    options: tidy(
      process.options,
      steps.map((one) => one.key),
    ),
  }
}

/**
 * A step as it is now written; what is set to nothing goes. Its key stays.
 * @example
 * changeStep(houseProcesses[0], 'stop', { note: 'ours' }).steps.find((step) => step.key === 'stop')?.note // → 'ours'
 */
export function changeStep(process: ProcessBody, key: string, part: Partial<Omit<ProcessStep, 'key'>>): ProcessBody {
  const i = at(process, key)
  const next = Object.fromEntries(Object.entries({ ...process.steps[i], ...part, key }).filter(([, value]) => value !== undefined))
  return { ...process, steps: process.steps.map((one, j) => (j === i ? (next as ProcessStep) : one)) }
}

/**
 * A step that takes so many times as long, by whatever its time is from.
 * @throws DomainError 'chart-time' for one whose time stands in the development chart
 * @example
 * scaleTime(houseProcesses[3], 'bleach-fix', 2).steps.find((step) => step.key === 'bleach-fix')?.time // → { s: 780 }
 */
export function scaleTime(process: ProcessBody, key: string, factor: number): ProcessBody {
  if (!(factor > 0)) throw new DomainError('out-of-range', 'A step takes some time.')
  const { time, name } = process.steps[at(process, key)] as ProcessStep
  const whole = (s: number) => Math.round(s * factor * 10) / 10
  const scaled = (): ProcessStep['time'] => {
    if (time === 'chart')
      throw new DomainError('chart-time', `${name} takes its time from the development chart: push or pull the film instead.`)
    if ('clearing' in time) return { clearing: time.clearing * factor, s: whole(time.s) }
    if ('share' in time) return { ...time, share: time.share * factor }
    if ('table' in time) return { table: time.table.map((row) => ({ ...row, s: whole(row.s) })) }
    if ('inspect' in time) return time.atMostS === undefined ? time : { ...time, atMostS: whole(time.atMostS) }
    return { s: whole(time.s) }
  }
  return changeStep(process, key, { time: scaled() })
}

/** s of a step by itself, without what it shares; null where that is not one figure. */
const ownSeconds = (steps: ProcessStep[], { time }: ProcessStep): number | null => {
  if (time === 'chart' || 'inspect' in time) return null
  if ('share' in time) {
    const of = steps.find((one) => one.key === time.of)
    const s = of && ownSeconds(steps, of)
    return s == null ? null : s * time.share
  }
  return 'table' in time ? (time.table.at(-1)?.s ?? null) : time.s
}

/**
 * Steps of another process, put at a place in their order, with the baths they take. Keys and roles that are taken get others; a step that takes what one left behind
 * saved is refused, a share of one left behind becomes a time of its own. They count always, whatever option they were of.
 * @throws DomainError 'step-needed', 'no-step'
 * @example
 * copySteps(houseProcesses[3], houseProcesses[6], ['re-expose'], 1).steps[1].kind // → 're-expose'
 */
export function copySteps(process: ProcessBody, from: ProcessBody, keys: string[], to: number): ProcessBody {
  const chosen = from.steps.filter((step) => keys.includes(step.key))
  if (chosen.length === 0) throw new DomainError('no-step', 'Choose at least one step.')
  const taken = process.steps.map((step) => step.key)
  const renamed = new Map<string, string>()
  for (const { key } of chosen) renamed.set(key, free(key, [...taken, ...renamed.values()]))
  const roles = [...process.roles]
  const roleFor = (id: string): string => {
    const role = from.roles.find((one) => one.id === id)
    if (!role) return id
    const same = roles.find((one) => one.family === role.family && one.name === role.name)
    if (same) return same.id
    const made = { ...role, id: free(role.id, roles.map((one) => one.id)) } // prettier-ignore
    roles.push(made)
    return made.id
  }
  const steps = chosen.map((step): ProcessStep => {
    const saved = savedFrom(step)
    const role = roleOf(step)
    if (saved !== null && !renamed.has(saved))
      throw new DomainError('step-needed', `${step.name} takes what another step saved: choose that one too.`)
    const shared = typeof step.time === 'object' && 'share' in step.time ? step.time : null
    const of = shared && renamed.get(shared.of)
    const s = shared && !of ? ownSeconds(from.steps, step) : null
    if (shared && !of && s === null)
      throw new DomainError('step-needed', `${step.name} takes a share of another step: choose that one too.`)
    return {
      ...step,
      key: renamed.get(step.key) as string,
      ...(role !== null ? { liquid: { role: roleFor(role) } } : {}),
      ...(saved !== null ? { liquid: { savedFrom: renamed.get(saved) as string } } : {}),
      ...(shared ? { time: of ? { ...shared, of } : { s: s ?? 0 } } : {}),
    }
  })
  const place = Math.min(Math.max(to, 0), process.steps.length)
  return { ...process, roles, steps: [...process.steps.slice(0, place), ...steps, ...process.steps.slice(place)] }
}

/**
 * A step out of a bottle, wherever the process takes it from: a role of its name and family, made where there is none yet.
 * @example
 * pourFrom(houseProcesses[2], 'rinse', { name: 'Second wash aid', family: 'wash-aid' }).roles.at(-1)?.id // → 'second-wash-aid'
 */
export function pourFrom(process: ProcessBody, key: string, role: { name: string; family: string }): ProcessBody {
  const known = process.roles.find((one) => one.name === role.name && one.family === role.family)
  const id = role.name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '').slice(0, 36) || 'bath' // prettier-ignore
  const made = known ?? { id: free(id, process.roles.map((one) => one.id)), ...role } // prettier-ignore
  const next = changeStep({ ...process, roles: known ? process.roles : [...process.roles, made] }, key, { liquid: { role: made.id } })
  const used = new Set(next.steps.map(roleOf))
  return { ...next, roles: next.roles.filter((one) => used.has(one.id)) }
}

/**
 * An option turned on or off to begin with; of its group the others are off then.
 * @example
 * setOption(houseProcesses[0], 'running', true).options.filter((one) => one.on && one.group === 'washing').map((one) => one.id) // → ['running']
 */
export function setOption(process: ProcessBody, id: string, on: boolean): ProcessBody {
  const group = process.options.find((one) => one.id === id)?.group
  return {
    ...process,
    options: process.options.map((one) =>
      one.id === id ? { ...one, on: on || group !== undefined } : group !== undefined && one.group === group ? { ...one, on: false } : one,
    ),
  }
}
