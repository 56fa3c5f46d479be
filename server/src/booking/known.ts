import { dayMs, dayOf, inDays, openOn, otherLightIn, roomFor, type BookingKnown, type OpenOn, type OtherLight } from '@selvrin/core'
import { Op } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import { zoneOf } from '../darkroom/zone'
import { roomOf } from '../evening/roomFacts'
import { houseOf, runsOf } from '../evening/rows'
import { enlargersOut, placesWhere, printsWhere } from '../printing/places'
import type { Database, Row } from '../table/database'

/** When the room prints are made in has another light in an evening. */
export async function otherLightOf(db: Database, evening: Pick<Row<'Evening'>, 'day' | 'body'>, now: number): Promise<OtherLight[]> {
  const { body, day } = evening
  // what is to be developed asks for lights, and only a room in which it is done has them
  if (body.loads.length === 0 || (roomFor(await roomOf(db), 'printing')?.uses.length ?? 0) < 2) return []
  const house = { ...(await houseOf(db, { loads: body.loads, prints: { day } }, now)), catalogue: await catalogueOf(db) }
  const runs = await runsOf(
    db,
    body.loads.map((load) => load.id),
  )
  return otherLightIn(body, { house, runs, now })
}

interface Asked {
  memberId: string
  fromAt: number
  untilAt: number
  /** the place that is changed, if it is */
  id: string
}

/** All that speaks for or against a place, and the day of the calendar whose opening it lies in. The evening of that day is locked: what is arranged in it waits. */
export async function knownFor(
  db: Database,
  { memberId, fromAt, untilAt, id }: Asked,
  now: number,
): Promise<BookingKnown & { day: string }> {
  const [zone, room] = [await zoneOf(db), await roomOf(db)]
  const today = dayOf(fromAt, zone)
  // what begins after midnight may belong to the evening before
  const days = [dayOf(inDays(fromAt, -1, zone), zone), today]
  const evenings = await db.Evening.findAll({ where: { day: days }, lock: true, order: ['day'] })
  const opens = days.map((day): { day: string; open: OpenOn } => {
    const evening = evenings.find((one) => one.day === day)
    return { day, open: evening ? { opensAt: evening.opensAt, closesAt: evening.closesAt } : openOn(room, day, zone) }
  })
  const holds = ({ open }: { open: OpenOn }): boolean => 'opensAt' in open && open.opensAt <= fromAt && fromAt < open.closesAt
  const { day, open } = opens.find(holds) ?? (opens[1] as (typeof opens)[number])
  const evening = evenings.find((one) => one.day === day)
  return {
    ...{ day, open, zone, now, limits: room.printing, cleanMinutes: room.cleanMinutes },
    places: Math.max(0, room.printPlaces - (await enlargersOut(db))),
    taken: await printsWhere(db, { fromAt: { [Op.lt]: untilAt }, untilAt: { [Op.gt]: fromAt }, id: { [Op.ne]: id } }),
    own: await placesWhere(db, { personId: memberId, untilAt: { [Op.gt]: fromAt - 8 * dayMs }, id: { [Op.ne]: id } }),
    otherLight: evening ? await otherLightOf(db, evening, now) : [],
  }
}
