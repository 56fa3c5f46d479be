import Papa from 'papaparse'
import { DomainError } from '../error'
import { requireWhole, type ProcessBody } from '../process/process'
import { processBody } from '../process/processBody'
import { unreadable } from './processFile'
import type { Fate, Light, ProcessStep } from '../process/step'

/* Processes as a table for a spreadsheet: a line for the process, then one for each bath, step and option, in their order. Times s, temperatures °C. */

const columns = [
  ...['process', 'line', 'id', 'name', 'material', 'vessel', 'family', 'kind', 'out_of', 'time', 'celsius', 'tolerance', 'from_c', 'to_c'],
  ...['agitation', 'light', 'drain_s', 'afterwards', 'changes', 'sides', 'per_roll_litre_s', 'push', 'reverses', 'vents', 'wait_s'],
  ...['on', 'group', 'steps', 'note'],
] as const
type Line = Partial<Record<(typeof columns)[number], string>>

const timeText = (time: ProcessStep['time']): string => {
  if (time === 'chart') return 'chart'
  if ('clearing' in time) return `clearing ${time.clearing} else ${time.s}`
  if ('share' in time) return `share ${time.share} of ${time.of}`
  if ('table' in time) return `table ${time.table.map(({ c, s }) => `${c}=${s}`).join(' ')}`
  if ('inspect' in time) return time.atMostS === undefined ? 'inspect' : `inspect ${time.atMostS}`
  return String(time.s)
}
const numbers = (text: string): number[] => text.split(/[ =]/).filter(Boolean).map(Number)
function timeFrom(text: string): unknown {
  const [word = '', rest = ''] = /^(\S+)\s*(.*)$/.exec(text.trim())?.slice(1) ?? []
  if (word === 'chart') return 'chart'
  if (word === 'clearing') {
    const [clearing, s] = rest.split(/\s+else\s+/).map(Number)
    return { clearing, s }
  }
  if (word === 'share') {
    const [share, of] = rest.split(/\s+of\s+/)
    return { share: Number(share), of }
  }
  if (word === 'table') return { table: rest.split(/\s+/).map((pair) => ({ c: numbers(pair)[0], s: numbers(pair)[1] })) }
  if (word === 'inspect') return rest === '' ? { inspect: true } : { inspect: true, atMostS: Number(rest) }
  return { s: Number(text) }
}
const liquidText = ({ liquid }: ProcessStep): string =>
  typeof liquid === 'string' ? liquid : 'role' in liquid ? `bath ${liquid.role}` : `saved ${liquid.savedFrom}`
const liquidFrom = (text: string): unknown =>
  text.startsWith('bath ') ? { role: text.slice(5) } : text.startsWith('saved ') ? { savedFrom: text.slice(6) } : text
const fateText = (fate: Fate): string => (typeof fate === 'string' ? fate : 'saveAs' in fate ? `save ${fate.saveAs}` : `drum ${fate.drum}`)
const fateFrom = (text: string): unknown =>
  text.startsWith('save ') ? { saveAs: text.slice(5) } : text.startsWith('drum ') ? { drum: text.slice(5) } : text
const lightText = (light: Light): string => (typeof light === 'string' ? light : `${light.safelight} safelight`)
const lightFrom = (text: string): unknown => (text.endsWith(' safelight') ? { safelight: text.slice(0, -10) } : text)
const agitationText = ({ agitation: one }: ProcessStep): string =>
  one ? [one.name, one.firstS, one.forS, one.everyS, one.inversions ?? '', one.at ?? '', one.closingS ?? ''].join(' | ') : ''
function agitationFrom(text: string): unknown {
  const [name, firstS, forS, everyS, inversions, at, closingS] = text.split('|').map((part) => part.trim())
  return {
    ...{ name, firstS: Number(firstS), forS: Number(forS), everyS: Number(everyS) },
    ...(inversions ? { inversions: Number(inversions) } : {}),
    ...(at ? { at } : {}),
    ...(closingS ? { closingS: Number(closingS) } : {}),
  }
}
const some = (value: unknown): string => (value === undefined ? '' : String(value))

function stepLine(step: ProcessStep): Line {
  return {
    ...{ line: 'step', id: step.key, name: step.name, kind: step.kind, out_of: liquidText(step), time: timeText(step.time) },
    ...{ celsius: some(step.atC), tolerance: String(step.toleranceC), from_c: some(step.c?.min), to_c: some(step.c?.max) },
    ...{ agitation: agitationText(step), light: lightText(step.light), drain_s: some(step.drainS), afterwards: fateText(step.fate) },
    ...{ changes: some(step.changes), sides: some(step.sides), per_roll_litre_s: some(step.perRollPerLitreS) },
    push: step.push?.map(({ stops, factor }) => `${stops}=${factor}`).join(' ') ?? '',
    ...{ reverses: some(step.reverses), vents: some(step.vents), wait_s: some(step.maxWaitS), note: some(step.note) },
  }
}

/**
 * Processes as a CSV file, a line for each bath, step and option.
 * @example
 * readProcessCsv(writeProcessCsv([houseProcesses[2]]))[0].steps.length === houseProcesses[2].steps.length // → true
 */
export function writeProcessCsv(processes: ProcessBody[]): string {
  const lines = processes.flatMap(({ name: process, material, vessel, note, roles, steps, options }): Line[] => [
    { process, line: 'process', name: process, material, vessel: some(vessel), note: some(note) },
    ...roles.map(({ id, name, family }) => ({ process, line: 'bath', id, name, family })),
    ...steps.map((step) => ({ process, ...stepLine(step) })),
    ...options.map(({ id, name, on, group, steps: keys }) => ({
      ...{ process, line: 'option', id, name, on: String(on), group: some(group), steps: keys.join(' ') },
    })),
  ])
  return `${Papa.unparse(lines, { columns: [...columns], newline: '\n' })}\n`
}

const number = (text: string | undefined): number | undefined => (text ? Number(text) : undefined)
const yes = (text: string | undefined): boolean | undefined => (text === 'true' ? true : text === 'false' ? false : undefined)
const known = (part: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(part).filter(([, value]) => value !== undefined))

const stepFrom = (line: Line): unknown =>
  known({
    ...{ key: line.id, name: line.name, kind: line.kind, liquid: liquidFrom(line.out_of ?? ''), time: timeFrom(line.time ?? '') },
    ...{ atC: number(line.celsius), toleranceC: number(line.tolerance) },
    c: line.from_c && line.to_c ? { min: number(line.from_c), max: number(line.to_c) } : undefined,
    agitation: line.agitation ? agitationFrom(line.agitation) : undefined,
    ...{ light: lightFrom(line.light ?? ''), drainS: number(line.drain_s), fate: fateFrom(line.afterwards ?? '') },
    ...{ changes: number(line.changes), sides: number(line.sides), perRollPerLitreS: number(line.per_roll_litre_s) },
    push: line.push ? line.push.split(/\s+/).map((pair) => ({ stops: numbers(pair)[0], factor: numbers(pair)[1] })) : undefined,
    ...{ reverses: yes(line.reverses), vents: yes(line.vents), maxWaitS: number(line.wait_s), note: line.note || undefined },
  })

function processFrom(lines: Line[]): unknown {
  const of = (kind: string) => lines.filter((line) => line.line === kind)
  const [head] = of('process')
  return known({
    ...{ name: head?.name, material: head?.material, vessel: head?.vessel || undefined, note: head?.note || undefined },
    roles: of('bath').map(({ id, name, family }) => ({ id, name, family })),
    steps: of('step').map(stepFrom),
    options: of('option').map(({ id, name, on, group, steps }) =>
      known({ id, name, on: yes(on), group: group || undefined, steps: steps ? steps.split(/\s+/) : [] }),
    ),
  })
}

/**
 * The processes of a CSV file that was written here, or by hand in the same columns.
 * @throws DomainError 'not-a-process' with the process that cannot be read, 'process-broken'
 * @example
 * readProcessCsv('a,b') // throws 'not-a-process'
 */
export function readProcessCsv(text: string): ProcessBody[] {
  const { data } = Papa.parse<Line>(text.replace(/^\uFEFF/, '').trim(), { header: true, skipEmptyLines: true })
  const names = [...new Set(data.map((line) => line.process ?? ''))]
  if (names.length === 0 || names.includes(''))
    throw new DomainError('not-a-process', 'This is no table of processes: each line names its process in the column “process”.')
  return names.map((name) => {
    const read = processBody.safeParse(processFrom(data.filter((line) => line.process === name)))
    if (!read.success) throw unreadable(`${name} cannot be read`, read.error)
    requireWhole(read.data)
    return read.data
  })
}
