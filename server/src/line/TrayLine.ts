import type { PaperBase } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { amount, instant, key, of, optional, text, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    TrayLine: ModelStatic<TrayLine>
  }
}

/** Trays that stand filled in a row, from their setting up to their closing. */
export class TrayLine extends Model<InferAttributes<TrayLine>, InferCreationAttributes<TrayLine>> {
  declare id: string
  declare version: CreationOptional<number>
  declare number: number
  declare base: PaperBase
  declare widthCm: number
  declare heightCm: number
  declare celsius: number
  declare openedAt: number
  declare openedBy: string | null
  declare closedAt: CreationOptional<number | null>
  declare closedBy: CreationOptional<string | null>
  declare opener?: NonAttribute<Row<'Person'> | null>
}

export const trayLineTable = table(TrayLine, 'tray_line', {
  id: key(),
  version: version(),
  number: whole(),
  base: text(),
  widthCm: amount(),
  heightCm: amount(),
  celsius: amount(),
  openedAt: instant(),
  openedBy: optional(of('person')),
  closedAt: optional(instant()),
  closedBy: optional(of('person')),
})
