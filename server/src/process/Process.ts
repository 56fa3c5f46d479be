import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { flag, key, usually, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Process: ModelStatic<Process>
  }
}

export class Process extends Model<InferAttributes<Process>, InferCreationAttributes<Process>> {
  declare id: string
  declare version: CreationOptional<number>
  declare shipped: CreationOptional<boolean>
}

export const processTable = table(Process, 'process', {
  id: key(),
  version: version(),
  shipped: usually(flag(), false),
})
