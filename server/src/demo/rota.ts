import {
  arrangeUntil,
  darkroomOf,
  dayOf,
  inDays,
  loadsFor,
  timeOnDay,
  usualRoom,
  withPlaces,
  type EveningBody,
  type EveningPerson,
  type RoomBody,
} from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { zoneOf } from '../darkroom/zone'
import { follow } from '../evening/following'
import { houseOf } from '../evening/rows'
import { ordersWhere } from '../order/rows'
import type { Database } from '../table/database'
import { printing } from './printing'

/** a demo has its evening ahead of it: where the doors open sooner than this, ms, or are open, it is the next day's */
const aheadMs = 30 * 60_000
/** rounds that are looked for its plan: the same on every machine */
const rounds = 1
/** orders that came in after the evening was arranged */
const cameLater = 3

/** What the loft has beside its tanks: the tub of the demo, and a tray that stands at 20 °C. */
const room = (): RoomBody => ({
  ...usualRoom,
  hours: usualRoom.hours.map((day) => day ?? { opens: '18:00', closes: '22:00' }),
  ...{ closets: 1, washPlaces: 3, printPlaces: 4 },
  baths: [
    { id: uuid(), name: 'Tub', startC: 20, heatCPerMin: 0.6, coolCPerMin: 0.2, places: 4 },
    { id: uuid(), name: 'Water tray', startC: 20, heatCPerMin: 0.2, coolCPerMin: 0.1, places: 6 },
  ],
})

/** The evening of the demo, today's or tomorrow's: most of it arranged, and some who came later still without a place. */
export async function rota(db: Database, staff: string[], today: number): Promise<void> {
  const usual = room()
  await db.Room.create({ body: usual })
  const zone = await zoneOf(db)
  const late = today > timeOnDay(today, { hour: 18, minute: 0 }, zone) - aheadMs
  const day = late ? inDays(today, 1, zone) : today
  await printing(db, usual, { opensAt: timeOnDay(day, { hour: 18, minute: 0 }, zone), zone, today })
  const house = { ...(await houseOf(db, { loads: [], prints: { day: dayOf(day, zone) } }, today)), catalogue: await catalogueOf(db) }
  const at = (hour: number, minute = 0): number => timeOnDay(day, { hour, minute }, zone)
  const [opensAt, closesAt] = [at(18), at(22)]
  const people = staff.slice(0, 2).map((personId, i): EveningPerson => ({
    ...{ personId, fromAt: opensAt, untilAt: closesAt },
    rest: i === 1 ? { minutes: 20, fromAt: at(19, 30), untilAt: at(20, 30) } : null,
  }))
  const waiting = (await ordersWhere(db, { state: 'waiting' })).filter((order) => order.earliest === null || order.earliest < closesAt)
  const [first, later] = [waiting.slice(0, -cameLater), waiting.slice(-cameLater)]
  const empty: EveningBody = { opensAt, closesAt, people, loads: [] }
  const made = loadsFor(first, empty, house, uuid).loads
  // who came later was put in beside what is there, into the bottle that stood in front
  const body: EveningBody = { ...empty, loads: made }
  const plan = arrangeUntil(darkroomOf(body, house, [], { now: today }), { seed: 1, rounds })
  const arranged = withPlaces(body, plan, zone)
  const whole: EveningBody = { ...arranged, loads: [...arranged.loads, ...loadsFor(later, empty, house, uuid).loads] }
  const id = uuid({ msecs: today })
  await db.Evening.create({ id, day: dayOf(day, zone), body: whole, opensAt, closesAt })
  await follow(db, { id, before: empty, after: whole }, { house, runs: [], orders: waiting }, { now: today, told: false })
}
