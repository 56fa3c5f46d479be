import { inDays } from '../calendar/days'
import { dayOf, type OpenOn } from '../evening/openOn'
import { fullAt, type Printing } from '../evening/printing'
import type { PrintingLimits } from '../evening/room'
import { clockAt } from '../evening/words'
import { spanWords } from './words'
import { countsFor, weekOf, type Booked } from './week'

/** A time (ms) for which the room in which prints are made has another light. */
export interface OtherLight {
  fromAt: number
  untilAt: number
  light: string
}

/** What speaks against a place: for some things there is no way, by others (`fairUse`) a technician may go with a reason. */
export interface Against {
  rule: string
  message: string
  fairUse: boolean
}

export interface BookingKnown {
  open: OpenOn
  /** everybody's that day, without the one that is changed */
  taken: Printing[]
  /** the member's own, without the one that is changed */
  own: Booked[]
  /** enlargers that are in order */
  places: number
  /** in which the room cannot be printed in */
  otherLight: OtherLight[]
  limits: PrintingLimits
  /** minutes before closing that are kept for cleaning */
  cleanMinutes: number
  /** ms */
  now: number
  zone: string
}

type Asked = Pick<Printing, 'fromAt' | 'untilAt'>
const minuteMs = 60_000
const meet = (one: Asked, other: Asked): boolean => one.fromAt < other.untilAt && other.fromAt < one.untilAt

/** What cannot be, whoever asks. */
function impossibleOf(asked: Asked, { open, taken, places, otherLight, now, zone }: BookingKnown): Omit<Against, 'fairUse'>[] {
  const clock = (at: number): string => clockAt({ midnight: at, zone }, 0)
  const { fromAt, untilAt } = asked
  if (untilAt <= fromAt) return [{ rule: 'print-span', message: 'It ends before it begins.' }]
  if ('closed' in open) return [{ rule: 'print-closed', message: `It is closed that day: ${open.closed}.` }]
  if (fromAt < open.opensAt || untilAt > open.closesAt)
    return [{ rule: 'print-closed', message: `It is open from ${clock(open.opensAt)} to ${clock(open.closesAt)} that day.` }]
  if (untilAt <= now) return [{ rule: 'print-over', message: 'That time is over.' }]
  if (places === 0) return [{ rule: 'print-places', message: 'No enlarger is in order.' }]
  const full = fullAt([...taken, asked], places, asked)
  const other = otherLight.find((one) => meet(one, asked))
  return [
    ...(full === null
      ? []
      : [
          { rule: 'print-places', message: `${places === 1 ? 'The enlarger is' : `All ${places} enlargers are`} taken at ${clock(full)}.` },
        ]),
    ...(other
      ? [
          {
            rule: 'print-light',
            message: `The room is ${other.light} from ${clock(other.fromAt)} to ${clock(other.untilAt)} for somebody’s film.`,
          },
        ]
      : []),
  ]
}

/** What would be more than everybody's share. */
function unfairOf(asked: Asked, { open, own, limits, cleanMinutes, now, zone }: BookingKnown): Omit<Against, 'fairUse'>[] {
  if ('closed' in open) return []
  const { spanMinutes, atOnceMinutes, weekMinutes, aheadDays, freeMinutes } = limits
  const { fromAt, untilAt } = asked
  const clock = (at: number): string => clockAt({ midnight: at, zone }, 0)
  const said: Omit<Against, 'fairUse'>[] = []
  const say = (rule: string, message: string): void => void said.push({ rule, message })
  const lastAt = open.closesAt - cleanMinutes * minuteMs
  if (untilAt > lastAt) say('print-clean', `Before closing it is cleaned: places end at ${clock(lastAt)}.`)
  const onGrid = (at: number): boolean => (at - open.opensAt) % (spanMinutes * minuteMs) === 0
  if (!onGrid(fromAt) || (untilAt <= lastAt && untilAt !== lastAt && !onGrid(untilAt)))
    say('print-grid', `Places begin and end every ${spanWords(spanMinutes)} from ${clock(open.opensAt)} on.`)
  const minutes = (untilAt - fromAt) / minuteMs
  if (atOnceMinutes > 0 && minutes > atOnceMinutes) say('print-long', `A place is at most ${spanWords(atOnceMinutes)} long.`)
  if (dayOf(inDays(fromAt, -aheadDays, zone), zone) > dayOf(now, zone))
    say('print-ahead', `Places are given out ${aheadDays === 1 ? 'a day' : `${aheadDays} days`} ahead.`)
  const twice = own.find((one) => meet(one, asked))
  if (twice) say('print-twice', `There is a place from ${clock(twice.fromAt)} to ${clock(twice.untilAt)} already.`)
  const used = weekOf(own, fromAt, limits, zone)
  if (weekMinutes > 0 && countsFor({ ...asked, at: now }, limits) && used + minutes > weekMinutes)
    say(
      'print-week',
      `That makes ${spanWords(used + minutes)} that week; everybody’s share is ${spanWords(weekMinutes)}.${
        freeMinutes > 0 ? ` What is still free ${spanWords(freeMinutes)} before it begins does not count.` : ''
      }`,
    )
  return said
}

/**
 * All that speaks against a place at an enlarger, what cannot be first.
 * @example
 * bookingAgainst({ fromAt: 9, untilAt: 5 }, printingKnown).map((one) => one.rule) // → ['print-span']
 */
export function bookingAgainst(asked: Asked, known: BookingKnown): Against[] {
  const never = impossibleOf(asked, known)
  return [
    ...never.map((one) => ({ ...one, fairUse: false })),
    ...(asked.untilAt <= asked.fromAt ? [] : unfairOf(asked, known).map((one) => ({ ...one, fairUse: true }))),
  ]
}
