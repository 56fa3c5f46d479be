import type { EveningBody } from '@selvrin/core'
import type { EveningAct } from '@selvrin/core/contract'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { flag, instant, json, key, of, optional, text, usually } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    EveningChange: ModelStatic<EveningChange>
  }
}

/** One change of an evening, with what it was before. */
export class EveningChange extends Model<InferAttributes<EveningChange>, InferCreationAttributes<EveningChange>> {
  declare id: string
  declare eveningId: string
  declare at: number
  declare byPerson: CreationOptional<string | null>
  declare what: EveningAct
  declare before: EveningBody
  declare undone: CreationOptional<boolean>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const eveningChangeTable = table(EveningChange, 'evening_change', {
  id: key(),
  eveningId: of('evening'),
  at: instant(),
  byPerson: optional(of('person')),
  what: text(),
  before: json(),
  undone: usually(flag(), false),
})
