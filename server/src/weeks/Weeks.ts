import type { Weeks as Result } from '@selvrin/core'
import type { WeeksPage } from '@selvrin/core/contract'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { flag, instant, json, keyed, of, optional, text, usually, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Weeks: ModelStatic<Weeks>
  }
}

/** Orders over the coming weeks: what the last spread came to, and how far the next one is. One row. */
export class Weeks extends Model<InferAttributes<Weeks>, InferCreationAttributes<Weeks>> {
  declare onlyRow: CreationOptional<boolean>
  declare version: CreationOptional<number>
  declare state: CreationOptional<WeeksPage['state']>
  declare done: CreationOptional<number>
  declare of: CreationOptional<number>
  declare askedBy: CreationOptional<string | null>
  declare askedAt: CreationOptional<number | null>
  declare finishedAt: CreationOptional<number | null>
  declare result: CreationOptional<Result | null>
  declare error: CreationOptional<string | null>
  declare asker?: NonAttribute<Row<'Person'> | null>
}

export const weeksTable = table(Weeks, 'weeks', {
  onlyRow: usually(keyed(flag()), true),
  version: version(),
  state: usually(text(), 'none'),
  done: usually(whole(), 0),
  of: usually(whole(), 0),
  askedBy: optional(of('person')),
  askedAt: optional(instant()),
  finishedAt: optional(instant()),
  result: optional(json()),
  error: optional(text()),
})
