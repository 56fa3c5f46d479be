import type { Jar as Shown } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { amount, instant, key, of, optional, text, usually, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Jar: ModelStatic<Jar>
  }
}

export class Jar extends Model<InferAttributes<Jar>, InferCreationAttributes<Jar>> {
  declare id: string
  declare version: CreationOptional<number>
  declare code: string
  declare chemical: string
  declare lot: CreationOptional<string>
  declare place: CreationOptional<string>
  declare openedAt: CreationOptional<number | null>
  declare assay: CreationOptional<number | null>
  declare pricePerKg: CreationOptional<number | null>
  declare reorderG: CreationOptional<number | null>
  declare spoonG: CreationOptional<number | null>
  declare storage: CreationOptional<NonNullable<Shown['storage']> | null>
}

export const jarTable = table(Jar, 'jar', {
  id: key(),
  version: version(),
  code: of('label_code', 'code', text()),
  chemical: text(),
  lot: usually(text(), ''),
  place: usually(text(), ''),
  openedAt: optional(instant()),
  assay: optional(amount()),
  pricePerKg: optional(amount()),
  reorderG: optional(amount()),
  spoonG: optional(amount()),
  storage: optional(text()),
})
