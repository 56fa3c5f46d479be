import type { Held } from '@selvrin/core'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, instant, json, key, of, optional, text, usually } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    WasteEntry: ModelStatic<WasteEntry>
  }
}

export class WasteEntry extends Model<InferAttributes<WasteEntry>, InferCreationAttributes<WasteEntry>> {
  declare id: string
  declare at: number
  declare byPerson: CreationOptional<string | null>
  declare family: string
  declare ml: number
  declare silverG: CreationOptional<number>
  declare bottleId: CreationOptional<string | null>
  declare entryId: CreationOptional<string | null>
  declare runId: CreationOptional<string | null>
  declare source: CreationOptional<'bottle' | 'run' | 'wash'>
  /** g of products in it; null where nobody knows */
  declare contents: CreationOptional<Held[] | null>
  declare note: CreationOptional<string>
  declare drum: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const wasteEntryTable = table(WasteEntry, 'waste_entry', {
  id: key(),
  at: instant(),
  byPerson: optional(of('person')),
  family: text(),
  ml: amount(),
  silverG: usually(amount(), 0),
  bottleId: optional(of('bottle')),
  entryId: optional(of('bottle_entry')),
  runId: optional(of('run')),
  source: usually(text(), 'bottle'),
  contents: optional(json()),
  note: usually(text(), ''),
  drum: optional(text()),
})
