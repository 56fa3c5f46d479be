import type { KitBody } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { json, key, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Kit: ModelStatic<Kit>
  }
}

export class Kit extends Model<InferAttributes<Kit>, InferCreationAttributes<Kit>> {
  declare id: string
  declare version: CreationOptional<number>
  declare body: KitBody
}

export const kitTable = table(Kit, 'kit', { id: key(), version: version(), body: json() })
