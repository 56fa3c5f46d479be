import type { ChemicalRow as Own } from '@selvrin/core/contract'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { instant, json, keyed, of, optional, text, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Chemical: ModelStatic<Chemical>
  }
}

export class Chemical extends Model<InferAttributes<Chemical>, InferCreationAttributes<Chemical>> {
  declare id: string
  declare version: CreationOptional<number>
  declare body: Own['body']
  declare changedBy: CreationOptional<string | null>
  declare changedAt: number
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const chemicalTable = table(Chemical, 'chemical', {
  id: keyed(text()),
  version: version(),
  body: json(),
  changedBy: optional(of('person')),
  changedAt: instant(),
})
