import { dayMs } from '../calendar/span'
import type { EveningBody } from '../evening/body'
import type { RoomBody } from '../evening/room'
import { countWord, type AgendaOrder } from './words'

/** Something that stands in a calendar: between two times (ms), or all of a day. */
export interface AgendaEvent {
  /** the same as long as it is the same thing */
  uid: string
  /** raised where it changes */
  sequence: number
  summary: string
  description: string
  when: { fromAt: number; untilAt: number } | { day: string }
}

/** An evening as a calendar has it. */
export interface AgendaEvening {
  id: string
  version: number
  body: Pick<EveningBody, 'opensAt' | 'closesAt' | 'people'> & { loads: readonly unknown[] }
  /** how many print in it */
  printing: number
}

/** A place at an enlarger as a calendar has it. */
export interface AgendaPrinting {
  id: string
  version: number
  fromAt: number
  untilAt: number
}

/** ms a load takes of which it is not known when its films hang */
const usualMs = 3_600_000

function ofOrder({ id, version, number, count, film, state, beginsAt, hangsAt, promisedFor }: AgendaOrder): AgendaEvent[] {
  const common = { uid: `order-${id}`, sequence: version, description: `Order ${number}, ${countWord(count)} of ${film}.` }
  if (state === 'planned' && beginsAt !== null)
    return [{ ...common, summary: `Order ${number} in the tank`, when: { fromAt: beginsAt, untilAt: hangsAt ?? beginsAt + usualMs } }]
  if (state === 'waiting' && promisedFor !== null)
    return [{ ...common, summary: `Order ${number}: the day it is promised for`, when: { day: promisedFor } }]
  return []
}

/**
 * What concerns one person: when their films go into the tank, or the day they were promised for; when they print; and when somebody counts on their hands.
 * @example
 * ownAgenda('m1', [], [], []) // → []
 */
export const ownAgenda = (personId: string, orders: AgendaOrder[], evenings: AgendaEvening[], places: AgendaPrinting[]): AgendaEvent[] => [
  ...orders.flatMap(ofOrder),
  ...places.map(({ id, version, fromAt, untilAt }) => ({
    ...{ uid: `print-${id}`, sequence: version, summary: 'Printing', description: 'An enlarger is yours for this time.' },
    when: { fromAt, untilAt },
  })),
  ...evenings.flatMap(({ id, version, body }) => [
    ...body.people
      .filter((one) => one.personId === personId)
      .map(({ fromAt, untilAt }) => ({
        ...{ uid: `duty-${id}`, sequence: version, summary: 'On duty', description: 'Your hands are counted on this evening.' },
        when: { fromAt, untilAt },
      })),
  ]),
]

/**
 * What concerns everybody: the evenings that are planned, and the days on which it is closed although it would be open.
 * @example
 * darkroomAgenda([], { closures: [{ from: '2026-04-14', until: '2026-04-14', why: 'floor painted' }] })[0].summary // → 'Closed: floor painted'
 */
export const darkroomAgenda = (evenings: AgendaEvening[], { closures }: Pick<RoomBody, 'closures'>): AgendaEvent[] => [
  ...evenings.map(({ id, version, printing, body: { opensAt, closesAt, loads } }) => ({
    ...{ uid: `evening-${id}`, sequence: version, summary: 'Darkroom evening' },
    description: `${loads.length} ${loads.length === 1 ? 'load' : 'loads'} to develop, ${printing} ${printing === 1 ? 'person' : 'people'} printing.`,
    when: { fromAt: opensAt, untilAt: closesAt },
  })),
  ...closures.flatMap(({ from, until, why }) =>
    daysFromTo(from, until).map((day) => ({
      ...{ uid: `closed-${day}`, sequence: 1, summary: `Closed: ${why}`, description: '' },
      when: { day },
    })),
  ),
]

/** days of one closure that stand in a calendar at most */
const mostDays = 400
/** Every day of the calendar from one to another. */
function daysFromTo(from: string, until: string): string[] {
  const days: string[] = []
  for (let at = Date.parse(`${from}T12:00:00Z`); days.length < mostDays; at += dayMs) {
    const day = new Date(at).toISOString().slice(0, 10)
    if (day > until) break
    days.push(day)
  }
  return days
}
