import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { key, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Formula: ModelStatic<Formula>
  }
}

export class Formula extends Model<InferAttributes<Formula>, InferCreationAttributes<Formula>> {
  declare id: string
  declare version: CreationOptional<number>
}

export const formulaTable = table(Formula, 'formula', {
  id: key(),
  version: version(),
})
