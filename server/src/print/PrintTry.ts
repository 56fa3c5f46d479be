import type { PrintSaid, PrintTry as Tried, TrySetup } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { counted, instant, json, key, of, optional, text, usually, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    PrintTry: ModelStatic<PrintTry>
  }
}

/** A strip or a print that was exposed, and what was said of it. */
export class PrintTry extends Model<InferAttributes<PrintTry>, InferCreationAttributes<PrintTry>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare version: CreationOptional<number>
  declare sheetId: string
  declare at: number
  declare byPerson: string | null
  declare setup: TrySetup
  declare plan: Tried
  declare said: CreationOptional<PrintSaid[]>
  declare note: CreationOptional<string>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const printTryTable = table(PrintTry, 'print_try', {
  id: key(),
  seq: counted('bigint'),
  version: version(),
  sheetId: of('sheet'),
  at: instant(),
  byPerson: optional(of('person')),
  setup: json(),
  plan: json(),
  said: usually(json(), []),
  note: usually(text(), ''),
})
