import type { DischargeRule, Drum as Family, Held } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { amount, counted, instant, json, key, of, optional, text, usually } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    DrainEntry: ModelStatic<DrainEntry>
  }
}

/** A line of what went down the drain, with the paper by which it did. */
export class DrainEntry extends Model<InferAttributes<DrainEntry>, InferCreationAttributes<DrainEntry>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare at: number
  declare byPerson: string | null
  declare family: Family
  declare ml: number
  declare silverG: number
  declare contents: CreationOptional<Held[] | null>
  declare wasteId: string
  declare rule: DischargeRule
  declare reverses: CreationOptional<string | null>
  declare note: CreationOptional<string>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const drainEntryTable = table(DrainEntry, 'drain_entry', {
  id: key(),
  seq: counted('bigint'),
  at: instant(),
  byPerson: optional(of('person')),
  family: text(),
  ml: amount(),
  silverG: amount(),
  contents: optional(json()),
  wasteId: of('waste_entry'),
  rule: json(),
  reverses: optional(of('drain_entry')),
  note: usually(text(), ''),
})
