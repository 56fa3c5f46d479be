import type { PaperBody } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, json, key, optional, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Paper: ModelStatic<Paper>
  }
}

/** A paper as it is bought in boxes. */
export class Paper extends Model<InferAttributes<Paper>, InferCreationAttributes<Paper>> {
  declare id: string
  declare version: CreationOptional<number>
  declare body: PaperBody
  declare goneAt: CreationOptional<number | null>
}

export const paperTable = table(Paper, 'paper', {
  id: key(),
  version: version(),
  body: json(),
  goneAt: optional(instant()),
})
