import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { amount, counted, key, optional, text, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Shelf: ModelStatic<Shelf>
  }
}

export class Shelf extends Model<InferAttributes<Shelf>, InferCreationAttributes<Shelf>> {
  declare id: string
  declare version: CreationOptional<number>
  declare name: string
  declare celsius: CreationOptional<number | null>
  declare position: CreationOptional<number>
}

export const shelfTable = table(Shelf, 'shelf', {
  id: key(),
  version: version(),
  name: text(),
  celsius: optional(amount()),
  position: counted(),
})
