import { usualRoom, type RoomBody } from '@selvrin/core'
import type { eveningApi } from '@selvrin/core/contract'
import { saveSeen } from '../http/changing'
import { givingOut } from '../printing/places'
import { releaseClosed } from '../printing/releasing'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'

/** What the room has; a usual one until somebody has said what theirs is like. */
export async function roomOf(db: Database): Promise<RoomBody & { version: number }> {
  const row = await db.Room.findOne({ attributes: ['version', 'body'], raw: true })
  // what was said before there were rooms with lights in it, people who are usually there, or shares of printing
  const { hands, rooms, printing } = usualRoom
  return row ? { ...{ rooms, hands, printing }, ...row.body, version: row.version } : { ...usualRoom, version: 1 }
}

export const getRoom: Handler<typeof eveningApi.room> = ({ db }) => roomOf(db)

export const changeRoom: Handler<typeof eveningApi.changeRoom> = async ({ db, jobs, body: { version, ...body }, who, now }) => {
  await givingOut(db)
  // two who say it first at the same moment are told of each other as any others
  await db.Room.findOrCreate({ where: { onlyRow: true }, defaults: { body: usualRoom } })
  const row = await db.Room.findOne({ rejectOnEmpty: true })
  await saveSeen(row.set({ body }), version, () => roomOf(db))
  // hours, closures and hands say which days can be kept
  await jobs?.ask('weeks', { inS: 3 })
  const released = await releaseClosed(db, body, { now, by: who.id })
  return { ...(await roomOf(db)), released }
}
