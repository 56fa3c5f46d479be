import { dayMs, openingsFrom } from '@selvrin/core'
import type { PrintingPage } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { zoneOf } from '../darkroom/zone'
import { roomOf } from '../evening/roomFacts'
import { enlargersOut, placesWhere } from '../printing/places'
import type { Database } from '../table/database'
import { otherLightOf } from './known'

/** days back of which places are told: those of the week that is on */
const backDays = 8
/** days ahead a technician sees at least: they may give out more than members may take */
const technicianDays = 28

/** What is free on the days that are given out, and what is booked: everybody's for a technician, a member's own for them. */
export async function printingPage(db: Database, who: { id: string; role: string }, now: number): Promise<PrintingPage> {
  const [zone, room, out] = [await zoneOf(db), await roomOf(db), await enlargersOut(db)]
  const technician = who.role === 'technician'
  const evenings = await db.Evening.findAll({ where: { closesAt: { [Op.gt]: now } }, order: ['day'] })
  const days = 1 + (technician ? Math.max(technicianDays, room.printing.aheadDays) : room.printing.aheadDays)
  const openings = openingsFrom(room, evenings, { now, days, zone })
  const places = await placesWhere(db, { untilAt: { [Op.gt]: now - backDays * dayMs } })
  const light = new Map(await Promise.all(evenings.map(async (evening) => [evening.day, await otherLightOf(db, evening, now)] as const)))
  return {
    ...{ limits: room.printing, cleanMinutes: room.cleanMinutes },
    ...{ places: Math.max(0, room.printPlaces - out), outOfOrder: Math.min(out, room.printPlaces) },
    days: openings.map(({ day, opensAt, closesAt }) => ({
      ...{ day, opensAt, closesAt },
      taken: places.flatMap(({ id, day: on, fromAt, untilAt }) => (on === day ? [{ id, fromAt, untilAt }] : [])),
      otherLight: light.get(day) ?? [],
    })),
    booked: technician ? places : places.filter((one) => one.memberId === who.id),
  }
}
