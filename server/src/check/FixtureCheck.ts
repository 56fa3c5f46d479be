import type { CheckResult } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { counted, instant, json, key, of, optional } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    FixtureCheck: ModelStatic<FixtureCheck>
  }
}

/** A thing of the darkroom's safety was looked at: a line that stands. */
export class FixtureCheck extends Model<InferAttributes<FixtureCheck>, InferCreationAttributes<FixtureCheck>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare fixtureId: string
  declare at: number
  declare byPerson: string | null
  declare result: CheckResult
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const fixtureCheckTable = table(FixtureCheck, 'fixture_check', {
  id: key(),
  seq: counted('bigint'),
  fixtureId: of('fixture'),
  at: instant(),
  byPerson: optional(of('person')),
  result: json(),
})
