import type { FormulaBody } from '@selvrin/core/contract'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, amounts, instant, json, key, of, optional, text, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Bottle: ModelStatic<Bottle>
  }
}

export class Bottle extends Model<InferAttributes<Bottle>, InferCreationAttributes<Bottle>> {
  declare id: string
  declare version: CreationOptional<number>
  declare letter: string
  declare number: number
  declare code: string
  declare formulaVersionId: string
  declare batchId: CreationOptional<string | null>
  declare fromBottleId: CreationOptional<string | null>
  declare sizeMl: number
  declare parts: CreationOptional<number[] | null>
  declare madeAt: number
  declare madeBy: CreationOptional<string | null>
  declare retiredAt: CreationOptional<number | null>
  declare retiredWhy: CreationOptional<string | null>
  declare shelfId: CreationOptional<string | null>
  declare ownUse: CreationOptional<FormulaBody['use'] | null>
  declare kitSetId: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare madeOf?: NonAttribute<Row<'FormulaVersion'>>
  declare batch?: NonAttribute<Row<'Batch'> | null>
}

export const bottleTable = table(Bottle, 'bottle', {
  id: key(),
  version: version(),
  letter: text(),
  number: whole(),
  code: of('label_code', 'code', text()),
  formulaVersionId: of('formula_version'),
  batchId: optional(of('batch')),
  fromBottleId: optional(of('bottle')),
  sizeMl: amount(),
  parts: optional(amounts()),
  madeAt: instant(),
  madeBy: optional(of('person')),
  retiredAt: optional(instant()),
  retiredWhy: optional(text()),
  shelfId: optional(of('shelf')),
  ownUse: optional(json()),
  kitSetId: optional(of('kit_set')),
})
