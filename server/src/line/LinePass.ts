import type { PaperBase } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { amount, counted, instant, key, of, optional, text, usually, uuids } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    LinePass: ModelStatic<LinePass>
  }
}

/** Prints that went through the trays of a line. */
export class LinePass extends Model<InferAttributes<LinePass>, InferCreationAttributes<LinePass>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare lineId: string
  declare at: number
  declare byPerson: string | null
  declare base: PaperBase
  declare equivalents: number
  declare what: CreationOptional<string>
  declare entryIds: string[]
  declare backAt: CreationOptional<number | null>
  declare backBy: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const linePassTable = table(LinePass, 'line_pass', {
  id: key(),
  seq: counted('bigint'),
  lineId: of('tray_line'),
  at: instant(),
  byPerson: optional(of('person')),
  base: text(),
  equivalents: amount(),
  what: usually(text(), ''),
  entryIds: uuids(),
  backAt: optional(instant()),
  backBy: optional(of('person')),
})
