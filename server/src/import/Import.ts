import type { ImportRow as Staged } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { instant, key, of, optional, text, usually, whole } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Import: ModelStatic<Import>
  }
}

export class Import extends Model<InferAttributes<Import>, InferCreationAttributes<Import>> {
  declare id: string
  declare kind: Staged['kind']
  declare state: CreationOptional<'open' | 'done' | 'cancelled'>
  declare rows: number
  declare byPerson: CreationOptional<string | null>
  declare at: number
}

export const importTable = table(Import, 'import', {
  id: key(),
  kind: text(),
  state: usually(text(), 'open'),
  rows: whole(),
  byPerson: optional(of('person')),
  at: instant(),
})
