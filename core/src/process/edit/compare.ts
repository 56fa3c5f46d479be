import { showTemperature, showTime } from '../../quantity/format'
import type { ProcessBody } from '../process'
import type { Fate, Light, ProcessStep } from '../step'

const fateWords = (fate: Fate): string =>
  typeof fate === 'string'
    ? { back: 'back into its bottle', discard: 'poured away', drain: 'down the drain' }[fate]
    : 'saveAs' in fate
      ? 'saved for a later step'
      : `into the ${fate.drum} drum`
const lightWords = (light: Light): string => (typeof light === 'string' ? light : `${light.safelight} safelight`)
const liquidWords = ({ roles, steps }: ProcessBody, { liquid }: ProcessStep): string =>
  typeof liquid === 'string'
    ? liquid
    : 'role' in liquid
      ? (roles.find((one) => one.id === liquid.role)?.name ?? liquid.role)
      : `what ${steps.find((one) => one.key === liquid.savedFrom)?.name ?? liquid.savedFrom} saved`

/**
 * Where the time of a step is from, in words.
 * @example
 * timeWords('chart') // → 'by the development chart'
 * timeWords({ clearing: 2, s: 300 }) // → '2 × the clearing time, else 5:00'
 */
export function timeWords(time: ProcessStep['time'], nameOf: (key: string) => string = (key) => key): string {
  if (time === 'chart') return 'by the development chart'
  if ('clearing' in time) return `${Math.round(time.clearing * 100) / 100} × the clearing time, else ${showTime(time.s)}`
  if ('share' in time) return `${Math.round(time.share * 100) / 100} × ${nameOf(time.of)}`
  if ('table' in time) return time.table.map(({ c, s }) => `${showTime(s)} at ${showTemperature(c)}`).join(', ')
  if ('inspect' in time) return `until it is seen to be done${time.atMostS === undefined ? '' : `, at most ${showTime(time.atMostS)}`}`
  return showTime(time.s)
}

/** What is said of a step, by what it is about. */
function saidOf(process: ProcessBody, step: ProcessStep): Record<string, string> {
  const nameOf = (key: string) => process.steps.find((one) => one.key === key)?.name ?? key
  const range = step.c ? `${showTemperature(step.c.min)} to ${showTemperature(step.c.max)}` : `± ${step.toleranceC} °C`
  return {
    name: step.name,
    kind: step.kind.replaceAll('-', ' '),
    liquid: liquidWords(process, step),
    time: timeWords(step.time, nameOf),
    temperature: `${step.atC === undefined ? 'as the developer' : showTemperature(step.atC)}, ${range}`,
    agitation: step.agitation?.name ?? 'as the run',
    light: lightWords(step.light),
    afterwards: fateWords(step.fate),
    changes: String(step.changes ?? ''),
    sides: String(step.sides ?? ''),
    note: step.note ?? '',
  }
}

/** One thing that is otherwise in the other process; `was` and `is` empty where it is not there. */
export interface ProcessDifference {
  step: string
  what: string
  was: string
  is: string
}

/**
 * What is otherwise in a process than in another: steps that are new, gone, moved or changed, by their keys, then options, name and note.
 * @example
 * compareProcesses(houseProcesses[0], houseProcesses[0]) // → []
 */
export function compareProcesses(one: ProcessBody, other: ProcessBody): ProcessDifference[] {
  const differences: ProcessDifference[] = []
  const add = (step: string, what: string, was: string, is: string) => {
    if (was !== is) differences.push({ step, what, was, is })
  }
  add('', 'name', one.name, other.name)
  const common = (steps: ProcessStep[], others: ProcessStep[]) => steps.filter((step) => others.some((two) => two.key === step.key))
  const [stayed, stays] = [common(one.steps, other.steps), common(other.steps, one.steps)]
  for (const step of one.steps) if (!stayed.includes(step)) add(step.name, 'step', 'there', '')
  for (const step of other.steps) {
    const before = one.steps.find((two) => two.key === step.key)
    if (!before) {
      add(step.name, 'step', '', `new: ${timeWords(step.time)}`)
      continue
    }
    const place = (steps: ProcessStep[]) => steps.findIndex((two) => two.key === step.key)
    const after = (steps: ProcessStep[]) => steps[place(steps) - 1]
    if (after(stayed)?.key !== after(stays)?.key)
      add(step.name, 'place', `after ${after(stayed)?.name ?? 'nothing'}`, `after ${after(stays)?.name ?? 'nothing'}`)
    const [was, is] = [saidOf(one, before), saidOf(other, step)]
    for (const what of Object.keys(is)) add(step.name, what, was[what] ?? '', is[what] ?? '')
  }
  const options = new Set([...one.options, ...other.options].map((option) => option.id))
  for (const id of options) {
    const state = ({ options: list }: ProcessBody) => {
      const option = list.find((two) => two.id === id)
      return option ? (option.on ? 'on' : 'off') : ''
    }
    add([...other.options, ...one.options].find((option) => option.id === id)?.name ?? id, 'option', state(one), state(other))
  }
  add('', 'note', one.note ?? '', other.note ?? '')
  return differences
}
