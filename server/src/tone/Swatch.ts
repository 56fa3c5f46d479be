import type { SwatchBody } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, json, key, of, optional, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Swatch: ModelStatic<Swatch>
  }
}

/** A strip in the swatch book. */
export class Swatch extends Model<InferAttributes<Swatch>, InferCreationAttributes<Swatch>> {
  declare id: string
  declare version: CreationOptional<number>
  declare at: number
  declare byPerson: string | null
  declare body: SwatchBody
  declare goneAt: CreationOptional<number | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare photo?: NonAttribute<Row<'SwatchPhoto'> | null>
}

export const swatchTable = table(Swatch, 'swatch', {
  id: key(),
  version: version(),
  at: instant(),
  byPerson: optional(of('person')),
  body: json(),
  goneAt: optional(instant()),
})
