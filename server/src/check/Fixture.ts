import type { FixtureBody } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, json, key, optional, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Fixture: ModelStatic<Fixture>
  }
}

/** A thing of the darkroom's safety. */
export class Fixture extends Model<InferAttributes<Fixture>, InferCreationAttributes<Fixture>> {
  declare id: string
  declare version: CreationOptional<number>
  declare body: FixtureBody
  declare goneAt: CreationOptional<number | null>
  declare checks?: NonAttribute<Row<'FixtureCheck'>[]>
}

export const fixtureTable = table(Fixture, 'fixture', {
  id: key(),
  version: version(),
  body: json(),
  goneAt: optional(instant()),
})
