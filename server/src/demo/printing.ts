import { dayOf, inDays, openOn, type RoomBody } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

/** Who prints when, by their place among the members: days from the first, minutes from opening. The third day is nearly full. */
const booked: [member: number, day: number, from: number, until: number][] = [
  [0, 0, 30, 180],
  [1, 0, 60, 210],
  [2, 1, 0, 120],
  [3, 1, 60, 180],
  [4, 2, 0, 150],
  [0, 2, 30, 180],
  [5, 2, 60, 210],
  [1, 2, 60, 150],
  [6, 3, 120, 210],
  [2, 5, 0, 180],
]
const minuteMs = 60_000
/** days before the first on which they were booked */
const daysBefore = 5

/** Places at enlargers of the demo, from the day of its evening on. */
export async function printing(
  db: Database,
  room: RoomBody,
  { opensAt, zone, today }: { opensAt: number; zone: string; today: number },
): Promise<void> {
  const members = await db.Person.findAll({ attributes: ['id'], where: { role: 'member', active: true }, order: ['name'], raw: true })
  const rows = booked.flatMap(([who, days, fromMin, untilMin]) => {
    const day = dayOf(inDays(opensAt, days, zone), zone)
    // the first evening has hours of its own
    const open = days === 0 ? { opensAt } : openOn(room, day, zone)
    const member = members[who % members.length]
    if (!member || 'closed' in open) return []
    return [
      {
        ...{ id: uuid(), personId: member.id, byPerson: member.id, day, overruled: null, at: inDays(today, -daysBefore, zone) },
        ...{ fromAt: open.opensAt + fromMin * minuteMs, untilAt: open.opensAt + untilMin * minuteMs },
      },
    ]
  })
  await db.PrintPlace.bulkCreate(rows)
}
