import { startOfDay } from '../calendar/days'
import { dayMs } from '../calendar/span'
import { DomainError } from '../error'
import type { EveningBody } from '../evening/body'
import type { EveningHouse, LoadRun } from '../evening/house'
import { eveningAsIs } from '../evening/require'
import { roomFor } from '../evening/room'
import type { OrderWish } from '../order/order'
import { forecastMixing, type Wanted } from './forecast'
import { Holding, thereHandsS, wantedHandsS, type Held, type HeldLoad } from './holding'
import { openingsFrom, type Opening } from './openings'
import { plentiful, type HouseFormula } from './plentiful'
import type { WeekOpening, Weeks } from './result'
import { spreadOrders, type SpreadProgress } from './spread'
import type { ToSpread } from './spreadState'

/** An order that waits, with the day it was promised for, if it was. */
export interface ToPromise {
  id: string
  wish: OrderWish
  /** of the calendar; the day is kept like a time it is wanted by */
  promised: string | null
}

/** An evening that is planned already. */
export interface PlannedEvening {
  day: string
  body: EveningBody
  runs: LoadRun[]
}

export interface WeeksAsked {
  house: EveningHouse
  formulas: HouseFormula[]
  evenings: PlannedEvening[]
  orders: ToPromise[]
  /** ms, and days from then on */
  now: number
  days: number
  /** changes by chance after the first spread, the same for the same seed; fewer where `ended` says so */
  seed: number
  rounds: number
}

/** A person who will be there although nobody has said who */
const somebody = (id: number): string => `0190a000-0000-7000-8000-0000000000${String(id).padStart(2, '0')}`

/** The evening of an opening as it is planned, or as it would be with the people who are usually there. */
function bodyOf({ opensAt, closesAt }: Opening, planned: PlannedEvening | undefined, hands: number): EveningBody {
  const usual = Array.from({ length: hands }, (_, i) => ({ personId: somebody(i), fromAt: opensAt, untilAt: closesAt, rest: null }))
  const body = planned?.body ?? { opensAt, closesAt, people: [], loads: [] }
  return body.people.length > 0 ? body : { ...body, people: usual }
}

/** An opening with what is in its evening already, and what that pours. */
function heldOf(opening: Opening, planned: PlannedEvening | undefined, house: EveningHouse, now: number): Held & { poured: Wanted[] } {
  const midnight = startOfDay(opening.opensAt, house.zone)
  const body = bodyOf(opening, planned, house.room.hands)
  const { problem, rota, plans } = eveningAsIs(body, house, planned?.runs ?? [], now)
  const pinned = rota.placed.map(({ bath, ...pin }) => ({ ...pin, ...(bath === null ? {} : { bath }) }))
  const there = new Set(pinned.map((pin) => pin.load))
  const placed = { ...problem, pinned, loads: problem.loads.filter((load) => there.has(load.id)) }
  return {
    ...{ midnight, problem: placed, fromS: Math.ceil((now - midnight) / 1000) },
    poured: Object.values(plans).map((plan) => ({
      at: opening.opensAt,
      plan,
      bottleOf: (id) => house.bottles.find((one) => one.shelf.id === id)?.shelf,
    })),
  }
}

/** What was promised is wanted by the end of that day, unless it is wanted sooner; null where neither is said. */
function dueOf({ wish, promised }: ToPromise, openings: Opening[]): number | null {
  const kept = promised === null ? undefined : openings.find((one) => one.day === promised)?.closesAt
  const both = [wish.wantedBy, kept].flatMap((at) => at ?? [])
  return both.length === 0 ? null : Math.min(...both)
}
/** days after it is there in which what nobody is in a hurry for is done all the same, where there is room: it does not wait for the fullest day. House default. */
const patienceDays = 10
const patience = ({ wish }: ToPromise, now: number): number => Math.max(now, wish.earliest ?? now) + patienceDays * dayMs

/**
 * Spreads orders over the openings of the days that come: as few as can be past the time they are wanted by or the day they were promised for, then few openings, then early. With what has
 * to be mixed for it, and how full each opening is. What is yielded is how far it is.
 * @example
 * [...weeksOf({ house: eveningHouse, formulas: [], evenings: [], orders: [], now: 0, days: 7, seed: 1, rounds: 3 })].at(-1)?.of // → 13
 */
export function* weeksOf(
  { house, formulas, evenings, orders, now, days, seed, rounds }: WeeksAsked,
  ended: () => boolean = () => false,
): Generator<SpreadProgress, Weeks> {
  const { room, zone, catalogue } = house
  const planned = new Map(evenings.map((one) => [one.day, one]))
  const hours = evenings.map(({ day, body: { opensAt, closesAt } }) => ({ day, opensAt, closesAt }))
  const openings = openingsFrom(room, hours, { now, days, zone })
  const vessels = house.vessels.filter((one) => !house.out.includes(one.id))
  const { processes, chart, partOf } = house
  const plenty = plentiful({ processes, chart, partOf, vessels, bottles: house.bottles.map((one) => one.shelf) }, formulas, catalogue, now)
  const due = new Map(orders.map((order) => [order.id, dueOf(order, openings)]))
  const wishes = new Map(orders.map(({ id, wish }) => [id, { ...wish, wantedBy: due.get(id) ?? null }]))
  const rooms = { loading: roomFor(room, 'loading')?.name, open: roomFor(room, 'trays')?.name, lamp: roomFor(room, 'lamp')?.name }
  const holding = new Holding(plenty, wishes, rooms)
  const left: Weeks['left'] = []
  const can = orders.flatMap((order): ToSpread[] => {
    try {
      holding.require(order)
    } catch (error) {
      if (!(error instanceof DomainError)) throw error
      left.push({ order: order.id, message: error.message })
      return []
    }
    return [
      {
        id: order.id,
        readyAt: order.wish.earliest ?? 0,
        dueAt: due.get(order.id) ?? null,
        soonBy: patience(order, now),
        kind: holding.kind(order.id),
      },
    ]
  })
  const held = openings.map((opening) => heldOf(opening, planned.get(opening.day), house, now))
  const judge = (opening: number, ids: string[]): Set<string> | null => holding.lateIn(held[opening] as Held, ids)
  const { spread } = yield* spreadOrders(
    openings.map(({ day, ...times }) => ({ ...times, held: planned.has(day) })),
    can,
    judge,
    { seed, rounds, ended },
  )
  const idsIn = openings.map((_, i) => can.flatMap(({ id }) => (spread.get(id) === i ? [id] : [])))
  const loads = openings.map((_, i) => holding.loads(held[i] as Held, idsIn[i] as string[]) ?? [])
  const late = idsIn.flatMap((ids, i) => (ids.length === 0 ? [] : [...(judge(i, ids) ?? ids)]))
  const without = can.flatMap(({ id }) => (spread.get(id) == null ? [id] : []))
  const lastAt = openings.at(-1)?.closesAt ?? now
  const pours = openings.flatMap((opening, i): Wanted[] => [
    ...(held[i]?.poured ?? []),
    ...(loads[i] as HeldLoad[]).map(({ plan }) => ({
      at: opening.opensAt,
      plan,
      bottleOf: (id: string) => plenty.bottles.find((one) => one.id === id),
    })),
  ])
  return {
    openings: openings.map((opening, i) =>
      shown(opening, planned.has(opening.day), held[i] as Held, idsIn[i] as string[], loads[i] as HeldLoad[]),
    ),
    past: [...late, ...without.filter((id) => (due.get(id) ?? Infinity) <= lastAt)],
    ...{ without, left, mixing: forecastMixing(pours, house, formulas, now) },
  }
}

function shown(opening: Opening, planned: boolean, { problem }: Held, orders: string[], loads: HeldLoad[]): WeekOpening {
  const all = [...problem.loads, ...loads.map((one) => one.load)]
  return {
    ...{ ...opening, planned, orders, loads: loads.map((one) => [...new Set(one.films)]) },
    films: all.reduce((sum, load) => sum + load.rolls, 0),
    ...{ wantedS: wantedHandsS(all), thereS: thereHandsS(problem) },
  }
}
