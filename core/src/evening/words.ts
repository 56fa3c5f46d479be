import { DateTime } from 'luxon'
import { showTime } from '../quantity/format'
import type { Plan } from '../process/load'
import type { InTheWay } from '../rota/meets'
import type { EveningLoad } from './body'

/** What things of an evening are called. */
export interface EveningNames {
  /** ms of the midnight its seconds are counted from */
  midnight: number
  zone: string
  /** by id: loads by their owners, tanks and baths */
  load: (id: string) => string
  /** by their first names, where those are enough */
  shortly: (id: string) => string
  vessel: (id: string) => string
  bath: (id: string) => string
  /** by number */
  person: (index: number) => string
  /** of a load, when it is known */
  plan: (load: string) => Plan | undefined
}

/**
 * A time of an evening (s from its midnight) as a clock of that zone shows it; seconds only where they are not 0.
 * @example
 * clockAt({ midnight: 0, zone: 'UTC' }, 66_660) // → '18:31'
 */
export function clockAt({ midnight, zone }: Pick<EveningNames, 'midnight' | 'zone'>, s: number): string {
  return DateTime.fromMillis(midnight + 1000 * s, { zone }).toFormat(s % 60 === 0 ? 'HH:mm' : 'HH:mm:ss')
}

/**
 * How people are called among so many: by their first names where nobody else there has the same one.
 * @example
 * ['Ada Marsh', 'Ben Loft'].map(firstNames(['Ada Marsh', 'Ben Loft', 'Ben Weir'])) // → ['Ada', 'Ben Loft']
 */
export function firstNames(among: string[]): (name: string) => string {
  const firstOf = (name: string): string => name.split(' ')[0] ?? name
  const people = [...new Set(among)]
  return (name) => (people.filter((one) => firstOf(one) === firstOf(name)).length === 1 ? firstOf(name) : name)
}

/** What a step of a load is called; its loading comes first where it has one. */
function stepName({ plan }: EveningNames, load: string, step: number, steps: number): string {
  const known = plan(load)
  if (!known) return 'a step'
  const at = step - (steps - known.steps.length)
  return at < 0 ? 'loading' : (known.steps[at]?.name.toLowerCase() ?? 'a step')
}

const resources: Record<string, string> = { closet: 'The loading closet', wash: 'The wash', dryer: 'The dryer' }

/**
 * What stands in the way, in a sentence. `stepsOf` is how many steps a load has in the evening, its loading counted.
 * @example
 * meetingWords({ kind: 'closes', byS: 300 }, eveningNames, () => 0) // → 'It ends 5:00 too late for closing and cleaning.'
 */
export function meetingWords(meeting: InTheWay, names: EveningNames, stepsOf: (load: string) => number): string {
  const at = (s: number): string => clockAt(names, s)
  const of = (ids: string[]): string => ids.map(names.load).join(' and ')
  switch (meeting.kind) {
    case 'ready':
      return `Its films are not there before ${at(meeting.atS)}.`
    case 'opens':
      return `It is closed until ${at(meeting.atS)}.`
    case 'closes':
      return `It ends ${showTime(meeting.byS)} too late for closing and cleaning.`
    case 'vessel-kind':
      return `${names.vessel(meeting.vessel)} is another kind of tank.`
    case 'vessel':
      return `${names.vessel(meeting.vessel)} holds ${names.load(meeting.load)} and is rinsed and dry at ${at(meeting.untilS)}.`
    case 'hands': {
      const theirs = stepName(names, meeting.load, meeting.step, stepsOf(meeting.load))
      return `${names.person(meeting.person)} has ${names.load(meeting.load)} in hand at ${at(meeting.atS)} (${theirs}), until ${at(meeting.untilS)}.`
    }
    case 'duty':
      return `${names.person(meeting.person)} is not on duty at ${at(meeting.atS)}.`
    case 'break':
      return `${names.person(meeting.person)} would have no room for a break.`
    case 'bath-places':
      return `${names.bath(meeting.bath)} has no place free at ${at(meeting.atS)}.`
    case 'bath-temperature':
      return `${names.bath(meeting.bath)} cannot be at the temperature it has to be at ${at(meeting.atS)}${
        meeting.load === null ? '' : `, with ${names.load(meeting.load)} where it is`
      }.`
    case 'resource': {
      const [bottle] = meeting.resource.startsWith('bottle ') ? [meeting.resource.slice('bottle '.length)] : []
      const name =
        bottle === undefined
          ? (resources[meeting.resource] ?? meeting.resource)
          : `The liquid of ${bottleLabel(names, meeting.loads, bottle)}`
      if (meeting.loads.length === 0) return `${name} has no place at all.`
      return `${name} is taken by ${of(meeting.loads)} until ${at(meeting.untilS)}.`
    }
    case 'light':
      return `${meeting.room} has another light until ${at(meeting.untilS)}${meeting.load === null ? '' : `, for ${names.load(meeting.load)}`}.`
    case 'wait':
      return 'A step would wait longer than it may.'
  }
}

/** What stands on the tape of a bottle, as far as one of the loads knows it. */
function bottleLabel({ plan }: EveningNames, loads: string[], bottle: string): string {
  for (const load of loads) {
    const found = plan(load)?.steps.find((step) => step.bottle?.id === bottle)?.bottle
    if (found) return found.label
  }
  return 'that bottle'
}

/**
 * Why a load has no place, in words.
 * @example
 * unplacedWords('full') // → 'the evening is full'
 */
export const unplacedWords = (reason: NonNullable<EveningLoad['unplaced']>): string =>
  ({
    pin: 'it cannot be where it was fixed',
    ready: 'it cannot be over before closing',
    vessel: 'no tank takes it',
    bath: 'no bath can be at its temperature',
    resource: 'the closet, the wash or the dryer has no place for it',
    hands: 'nobody has hands for it',
    full: 'the evening is full',
    bottle: 'its bottles are used up by those before it',
  })[reason]
