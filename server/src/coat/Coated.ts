import type { CoatedBody } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, json, key, of, optional, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Coated: ModelStatic<Coated>
  }
}

/** A hand-coated print. */
export class Coated extends Model<InferAttributes<Coated>, InferCreationAttributes<Coated>> {
  declare id: string
  declare version: CreationOptional<number>
  declare number: number
  declare memberId: string | null
  declare body: CoatedBody
  declare byPerson: string | null
  declare at: number
  declare endedAt: CreationOptional<number | null>
  declare member?: NonAttribute<Row<'Person'> | null>
  declare acts?: NonAttribute<Row<'CoatedAct'>[]>
}

export const coatedTable = table(Coated, 'coated', {
  id: key(),
  version: version(),
  number: whole(),
  memberId: optional(of('person')),
  body: json(),
  byPerson: optional(of('person')),
  at: instant(),
  endedAt: optional(instant()),
})
