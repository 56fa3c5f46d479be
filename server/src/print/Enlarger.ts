import type { EnlargerBody } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, json, key, optional, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Enlarger: ModelStatic<Enlarger>
  }
}

/** An enlarger of the house. */
export class Enlarger extends Model<InferAttributes<Enlarger>, InferCreationAttributes<Enlarger>> {
  declare id: string
  declare version: CreationOptional<number>
  declare body: EnlargerBody
  declare goneAt: CreationOptional<number | null>
}

export const enlargerTable = table(Enlarger, 'enlarger', {
  id: key(),
  version: version(),
  body: json(),
  goneAt: optional(instant()),
})
