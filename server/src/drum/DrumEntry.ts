import type { DrumLine, DrumSource, Held } from '@selvrin/core'
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
    DrumEntry: ModelStatic<DrumEntry>
  }
}

/** A line of a drum's ledger. */
export class DrumEntry extends Model<InferAttributes<DrumEntry>, InferCreationAttributes<DrumEntry>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare drumId: string
  declare at: number
  declare byPerson: string | null
  declare kind: DrumLine['kind']
  declare ml: number
  declare gPerMl: number
  declare silverG: number
  declare family: DrumLine['family']
  declare source: DrumSource
  declare wasteId: CreationOptional<string | null>
  declare contents: CreationOptional<Held[] | null>
  declare ph: CreationOptional<number | null>
  declare readingKg: CreationOptional<number | null>
  declare funnelId: CreationOptional<string | null>
  declare reverses: CreationOptional<string | null>
  declare note: CreationOptional<string>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const drumEntryTable = table(DrumEntry, 'drum_entry', {
  id: key(),
  seq: counted('bigint'),
  drumId: of('drum'),
  at: instant(),
  byPerson: optional(of('person')),
  kind: text(),
  ml: amount(),
  gPerMl: amount(),
  silverG: amount(),
  family: text(),
  source: text(),
  wasteId: optional(of('waste_entry')),
  contents: optional(json()),
  ph: optional(amount()),
  readingKg: optional(amount()),
  funnelId: optional(of('funnel')),
  reverses: optional(of('drum_entry')),
  note: usually(text(), ''),
})
