import type { FilmOrder, OrderLine } from '@selvrin/core/contract'
import { loadKindOf } from '@selvrin/core'
import { counted, showClock, showDate, showMoment } from '../marks/words'

type Change = OrderLine['changes'][number]

const fieldNames: Record<Change['field'], string> = {
  film: 'Film',
  format: 'Format',
  count: 'How many',
  ei: 'Exposed at',
  pushStops: 'Push or pull',
  processId: 'Process',
  developer: 'Developer',
  earliest: 'Not before',
  wantedBy: 'Wanted by',
  present: 'Its owner waits',
  critical: 'Only negatives',
  note: 'Note',
}

/** '+1', '−1', 'none' */
export const pushWords = (stops: number): string => (stops === 0 ? 'none' : stops > 0 ? `push ${stops}` : `pull ${-stops}`)

interface Names {
  zone: string
  /** of processes and formulas, by their ids */
  names: Record<string, string>
}

function valueWords(field: Change['field'], value: unknown, { zone, names }: Names): string {
  if (field === 'earliest' || field === 'wantedBy') return value === null ? 'no time' : showMoment(value as number, zone)
  if (field === 'pushStops') return pushWords(value as number)
  if (field === 'processId') return names[value as string] ?? 'another process'
  if (field === 'developer') {
    const wished = value as FilmOrder['developer']
    return wished === null ? 'as the chart says' : `${names[wished.formulaId] ?? 'another developer'} ${wished.parts.join('+')}`
  }
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return value === '' ? 'nothing' : String(value)
}

/** 'How many: 2, now 3' */
export const changeWords = ({ field, before, after }: Change, known: Names): string =>
  `${fieldNames[field]}: ${valueWords(field, before, known)}, now ${valueWords(field, after, known)}`

/** '2 × Millrace 400, 135-36, EI 400, push 1' */
export const filmWords = ({ count, film, format, ei, pushStops }: FilmOrder): string =>
  `${count} × ${film}, ${format}, EI ${ei}${pushStops === 0 ? '' : `, ${pushWords(pushStops)}`}`

/** What it is developed in, as far as that was said. */
export const bathWords = ({ processName, developer, developerName }: FilmOrder): string =>
  developer ? `${processName}, ${developerName} ${developer.parts.join('+')}` : processName

/** '12 rolls, 6 sheets' */
export function countWords(orders: Pick<FilmOrder, 'count' | 'format'>[]): string {
  const of = (sheets: boolean): number =>
    orders.reduce((sum, { count, format }) => sum + ((loadKindOf(format) === 'sheets') === sheets ? count : 0), 0)
  return [counted(of(false), 'roll'), counted(of(true), 'sheet')].filter((words) => !words.startsWith('0 ')).join(', ')
}

const inRack = (rack: number | null): string => (rack === null ? 'still to be brought' : `in the rack, place ${rack}`)

/** 'Tue 14 Apr', of a day of the calendar */
export const dayWords = (day: string): string => showDate(Date.parse(`${day}T12:00:00Z`), 'UTC')

/** When it goes into the tank and when its films hang, as the evening is planned; or the day it was promised for. Empty where it has neither. */
export const whenWords = (
  { state, beginsAt, hangsAt, promisedFor }: Pick<FilmOrder, 'state' | 'beginsAt' | 'hangsAt' | 'promisedFor'>,
  zone: string,
): string =>
  state === 'waiting' && promisedFor !== null
    ? `promised for ${dayWords(promisedFor)}`
    : state === 'planned' && beginsAt !== null
      ? `into the tank ${showMoment(beginsAt, zone)}${hangsAt === null ? '' : `, hangs about ${showClock(hangsAt, zone)}`}`
      : state === 'planned'
        ? 'its time is not settled yet'
        : ''

/** Where it stands, in words. */
export const stateWords = ({ state, rack }: Pick<FilmOrder, 'state' | 'rack'>): string =>
  state === 'waiting'
    ? inRack(rack)
    : state === 'planned'
      ? `planned; ${inRack(rack)}`
      : state === 'begun'
        ? 'in the tank'
        : state === 'done'
          ? 'developed'
          : 'taken back undeveloped'

/** What is wanted sooner stands first; what has no time comes after it, in the order in which it came. */
export const byWish = (a: FilmOrder, b: FilmOrder): number =>
  (a.wantedBy ?? Infinity) === (b.wantedBy ?? Infinity) ? a.number - b.number : (a.wantedBy ?? Infinity) - (b.wantedBy ?? Infinity)
