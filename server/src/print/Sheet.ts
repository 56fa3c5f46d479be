import type { NegativeBody, PrintOutline, TrySetup } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { flag, instant, json, key, of, optional, text, usually, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Sheet: ModelStatic<Sheet>
  }
}

/** The sheet of a print that is being made, or was. */
export class Sheet extends Model<InferAttributes<Sheet>, InferCreationAttributes<Sheet>> {
  declare id: string
  declare version: CreationOptional<number>
  declare number: number
  declare memberId: string | null
  declare title: string
  declare negative: NegativeBody
  declare setup: TrySetup
  declare done: CreationOptional<boolean>
  declare byPerson: string | null
  declare at: number
  declare outline: CreationOptional<PrintOutline>
  declare photo?: NonAttribute<Row<'SheetPhoto'> | null>
  declare member?: NonAttribute<Row<'Person'> | null>
}

export const sheetTable = table(Sheet, 'sheet', {
  id: key(),
  version: version(),
  number: whole(),
  memberId: optional(of('person')),
  title: text(),
  negative: json(),
  setup: json(),
  done: usually(flag(), false),
  byPerson: optional(of('person')),
  at: instant(),
  outline: usually(json(), []),
})
