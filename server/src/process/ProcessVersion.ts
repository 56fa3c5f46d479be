import type { ProcessBody } from '@selvrin/core/contract'
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
    ProcessVersion: ModelStatic<ProcessVersion>
  }
}

export class ProcessVersion extends Model<InferAttributes<ProcessVersion>, InferCreationAttributes<ProcessVersion>> {
  declare id: string
  declare processId: string
  declare number: number
  declare body: ProcessBody
  declare changedBy: CreationOptional<string | null>
  declare changedAt: number
  declare by?: NonAttribute<Row<'Person'> | null>
  declare process?: NonAttribute<Row<'Process'>>
}

export const processVersionTable = table(ProcessVersion, 'process_version', {
  id: key(),
  processId: of('process'),
  number: whole(),
  body: json(),
  changedBy: optional(of('person')),
  changedAt: instant(),
})
