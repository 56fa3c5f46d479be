import type { RoomBody } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { flag, json, keyed, usually, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Room: ModelStatic<Room>
  }
}

/** What the room has, and when it is open: one row, once somebody has said so. */
export class Room extends Model<InferAttributes<Room>, InferCreationAttributes<Room>> {
  declare onlyRow: CreationOptional<boolean>
  declare version: CreationOptional<number>
  declare body: RoomBody
}

export const roomTable = table(Room, 'room', {
  onlyRow: usually(keyed(flag()), true),
  version: version(),
  body: json(),
})
