import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { flag, instant, key, of, optional, uuids, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Permission: ModelStatic<Permission>
  }
}

/** What a member may develop without a technician. */
export class Permission extends Model<InferAttributes<Permission>, InferCreationAttributes<Permission>> {
  declare id: string
  declare version: CreationOptional<number>
  declare personId: string
  declare processId: string
  declare vesselIds: string[]
  declare bottleIds: string[]
  declare practice: boolean
  declare others: boolean
  declare loading: boolean
  declare until: number | null
  declare givenBy: CreationOptional<string | null>
  declare givenAt: number
  declare person?: NonAttribute<Row<'Person'> | null>
  declare giver?: NonAttribute<Row<'Person'> | null>
}

export const permissionTable = table(Permission, 'permission', {
  id: key(),
  version: version(),
  personId: of('person'),
  processId: of('process'),
  vesselIds: uuids(),
  bottleIds: uuids(),
  practice: flag(),
  others: flag(),
  loading: flag(),
  until: optional(instant()),
  givenBy: optional(of('person')),
  givenAt: instant(),
})
