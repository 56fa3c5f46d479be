import type { CoatAct, UvLight } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { amount, counted, instant, json, key, of, optional } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    CoatedAct: ModelStatic<CoatedAct>
  }
}

/** What was done with a hand-coated print: a line that stands. */
export class CoatedAct extends Model<InferAttributes<CoatedAct>, InferCreationAttributes<CoatedAct>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare coatedId: string
  declare at: number
  declare byPerson: string | null
  declare act: CoatAct
  declare light: CreationOptional<UvLight | null>
  declare cost: CreationOptional<number | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const coatedActTable = table(CoatedAct, 'coated_act', {
  id: key(),
  seq: counted('bigint'),
  coatedId: of('coated'),
  at: instant(),
  byPerson: optional(of('person')),
  act: json(),
  light: optional(json()),
  cost: optional(amount()),
})
