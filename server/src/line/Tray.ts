import type { TrayBody } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, json, key, optional, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Tray: ModelStatic<Tray>
  }
}

/** A tray of the house. */
export class Tray extends Model<InferAttributes<Tray>, InferCreationAttributes<Tray>> {
  declare id: string
  declare version: CreationOptional<number>
  declare body: TrayBody
  declare goneAt: CreationOptional<number | null>
}

export const trayTable = table(Tray, 'tray', {
  id: key(),
  version: version(),
  body: json(),
  goneAt: optional(instant()),
})
