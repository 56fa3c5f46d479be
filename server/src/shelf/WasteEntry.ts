import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, instant, key, of, optional, text, usually } from '../table/columns'
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
  declare bottleId: string
  declare entryId: string
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
  bottleId: of('bottle'),
  entryId: of('bottle_entry'),
  note: usually(text(), ''),
  drum: optional(text()),
})
