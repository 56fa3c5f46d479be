import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, key, optional, text, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Funnel: ModelStatic<Funnel>
  }
}

/** A funnel that goes from drum to drum: what went through it last stands in the lines of the drums. */
export class Funnel extends Model<InferAttributes<Funnel>, InferCreationAttributes<Funnel>> {
  declare id: string
  declare version: CreationOptional<number>
  declare name: string
  declare rinsedAt: number
  declare goneAt: CreationOptional<number | null>
}

export const funnelTable = table(Funnel, 'funnel', {
  id: key(),
  version: version(),
  name: text(),
  rinsedAt: instant(),
  goneAt: optional(instant()),
})
