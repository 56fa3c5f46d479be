import type { Run as Shown } from '@selvrin/core/contract'
import type { Plan } from '@selvrin/core'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { instant, json, key, of, optional, text, usually, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Run: ModelStatic<Run>
  }
}

export class Run extends Model<InferAttributes<Run>, InferCreationAttributes<Run>> {
  declare id: string
  declare version: CreationOptional<number>
  declare number: number
  declare state: CreationOptional<Shown['state']>
  declare plan: Plan
  /** as it was written at any time: `readRequest` reads it */
  declare request: unknown
  declare overruled: CreationOptional<string | null>
  declare plannedBy: CreationOptional<string | null>
  declare plannedAt: number
  declare startedAt: CreationOptional<number | null>
  declare endedAt: CreationOptional<number | null>
  declare why: CreationOptional<string | null>
  declare takenBackWhy: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare rolls?: NonAttribute<Row<'Roll'>[]>
}

export const runTable = table(Run, 'run', {
  id: key(),
  version: version(),
  number: whole(),
  state: usually(text(), 'planned'),
  plan: json(),
  request: json(),
  overruled: optional(text()),
  plannedBy: optional(of('person')),
  plannedAt: instant(),
  startedAt: optional(instant()),
  endedAt: optional(instant()),
  why: optional(text()),
  takenBackWhy: optional(text()),
})
