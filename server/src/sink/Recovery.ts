import type { RecoveryBody } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, json, key, of, optional } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Recovery: ModelStatic<Recovery>
  }
}

/** Silver that was taken out of a liquid; a line that takes one back has the other's figures. */
export class Recovery extends Model<InferAttributes<Recovery>, InferCreationAttributes<Recovery>> {
  declare id: string
  declare at: number
  declare byPerson: string | null
  declare drumId: string | null
  declare body: RecoveryBody
  declare reverses: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare drum?: NonAttribute<Row<'Drum'> | null>
}

export const recoveryTable = table(Recovery, 'recovery', {
  id: key(),
  at: instant(),
  byPerson: optional(of('person')),
  drumId: optional(of('drum')),
  body: json(),
  reverses: optional(of('recovery')),
})
