import { openOn, type RoomBody } from '@selvrin/core'
import { Op, type WhereOptions } from 'sequelize'
import { zoneOf } from '../darkroom/zone'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { placesWhere } from './places'
import { tellOfPlace } from './telling'

interface By {
  now: number
  /** whose change it follows from */
  by: string
}

/** Gives places that are still to come back, and tells whose they were why. Answers how many. */
async function release(
  db: Database,
  where: WhereOptions,
  why: (place: { day: string; fromAt: number; untilAt: number }) => string | null,
  { now, by }: By,
): Promise<number> {
  const lost = (await placesWhere(db, { [Op.and]: [where, { fromAt: { [Op.gt]: now } }] })).flatMap((place) => {
    const said = why(place)
    return said === null ? [] : [{ ...place, said }]
  })
  for (const { id, memberId, said, ...times } of lost) {
    await changeAll(db.PrintPlace, { takenBackAt: now, takenBackBy: by, why: said }, { id })
    await tellOfPlace(db, { personId: memberId, text: (words) => `Your place at an enlarger, ${words(times)}, is gone: ${said}`, now })
  }
  return lost.length
}

/** Places on days on which it is not open any more for all of their time, where no evening is planned that says its own hours. */
export async function releaseClosed(db: Database, room: RoomBody, by: By): Promise<number> {
  const zone = await zoneOf(db)
  const planned = (await db.Evening.findAll({ attributes: ['day'], where: { closesAt: { [Op.gt]: by.now } }, raw: true })).map(
    (one) => one.day,
  )
  const closed = ({ day, fromAt, untilAt }: { day: string; fromAt: number; untilAt: number }): string | null => {
    const open = openOn(room, day, zone)
    if ('closed' in open) return `it is closed that day (${open.closed}).`
    return open.opensAt <= fromAt && untilAt <= open.closesAt ? null : 'the opening hours of that day are others now.'
  }
  return release(db, { day: { [Op.notIn]: planned } }, closed, by)
}

/** Places of somebody who does not come any more. */
export const releaseOf = (db: Database, personId: string, by: By): Promise<number> =>
  release(db, { personId }, () => 'you are not a member at present.', by)
