import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, counted, instant, key, of, optional, text, usually } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    PaperEntry: ModelStatic<PaperEntry>
  }
}

/** Sheets that came into a box, were drawn from it, or were counted otherwise. */
export class PaperEntry extends Model<InferAttributes<PaperEntry>, InferCreationAttributes<PaperEntry>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare boxId: string
  declare at: number
  declare byPerson: string | null
  declare kind: 'in' | 'draw' | 'count'
  declare sheets: number
  declare tryId: CreationOptional<string | null>
  declare note: CreationOptional<string>
}

export const paperEntryTable = table(PaperEntry, 'paper_entry', {
  id: key(),
  seq: counted('bigint'),
  boxId: of('paper_box'),
  at: instant(),
  byPerson: optional(of('person')),
  kind: text(),
  sheets: amount(),
  tryId: optional(of('print_try')),
  note: usually(text(), ''),
})
