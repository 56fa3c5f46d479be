import type { TrayRole } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, instant, key, of, optional, text, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    TrayFill: ModelStatic<TrayFill>
  }
}

/** What stands in a tray of a line, from its filling to its emptying. */
export class TrayFill extends Model<InferAttributes<TrayFill>, InferCreationAttributes<TrayFill>> {
  declare id: string
  declare version: CreationOptional<number>
  declare lineId: string
  declare trayId: string
  declare role: TrayRole
  declare bottleId: string | null
  declare ml: number
  declare at: number
  declare byPerson: string | null
  declare emptiedAt: CreationOptional<number | null>
  declare emptiedHow: CreationOptional<'away' | 'kept' | null>
}

export const trayFillTable = table(TrayFill, 'tray_fill', {
  id: key(),
  version: version(),
  lineId: of('tray_line'),
  trayId: of('tray'),
  role: text(),
  bottleId: optional(of('bottle')),
  ml: amount(),
  at: instant(),
  byPerson: optional(of('person')),
  emptiedAt: optional(instant()),
  emptiedHow: optional(text()),
})
