import { usualRoom, type RoomBody } from '@selvrin/core'
import type { eveningApi } from '@selvrin/core/contract'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'

/** What the room has; a usual one until somebody has said what theirs is like. */
export async function roomOf(db: Database): Promise<RoomBody & { version: number }> {
  const row = await db.Room.findOne({ attributes: ['version', 'body'], raw: true })
  // what was said before there were rooms with lights in it, or people who are usually there
  const { hands, rooms } = usualRoom
  return row
    ? { ...row.body, rooms: row.body.rooms ?? rooms, hands: row.body.hands ?? hands, version: row.version }
    : { ...usualRoom, version: 1 }
}

export const getRoom: Handler<typeof eveningApi.room> = ({ db }) => roomOf(db)

export const changeRoom: Handler<typeof eveningApi.changeRoom> = async ({ db, jobs, body: { version, ...body } }) => {
  // two who say it first at the same moment are told of each other as any others
  await db.Room.findOrCreate({ where: { onlyRow: true }, defaults: { body: usualRoom } })
  const row = await db.Room.findOne({ rejectOnEmpty: true })
  await saveSeen(row.set({ body }), version, () => roomOf(db))
  // hours, closures and hands say which days can be kept
  await jobs?.ask('weeks', { inS: 3 })
  return roomOf(db)
}
