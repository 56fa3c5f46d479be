import type { KitBody } from '@selvrin/core/contract'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { instant, json, key, of, optional, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    KitSet: ModelStatic<KitSet>
  }
}

export class KitSet extends Model<InferAttributes<KitSet>, InferCreationAttributes<KitSet>> {
  declare id: string
  declare kitId: string
  declare number: number
  declare body: KitBody
  declare begunAt: number
  declare begunBy: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const kitSetTable = table(KitSet, 'kit_set', {
  id: key(),
  kitId: of('kit'),
  number: whole(),
  body: json(),
  begunAt: instant(),
  begunBy: optional(of('person')),
})
