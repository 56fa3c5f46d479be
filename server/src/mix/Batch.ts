import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, instant, key, of, optional, text, usually } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Batch: ModelStatic<Batch>
  }
}

export class Batch extends Model<InferAttributes<Batch>, InferCreationAttributes<Batch>> {
  declare id: string
  declare mixId: CreationOptional<string | null>
  declare formulaVersionId: string
  declare madeAt: number
  declare madeBy: CreationOptional<string | null>
  declare ph: CreationOptional<number | null>
  declare note: CreationOptional<string>
  declare phCelsius: CreationOptional<number | null>
  declare phExpected: CreationOptional<number | null>
  declare phUncertainty: CreationOptional<number | null>
  declare phWhy: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare madeOf?: NonAttribute<Row<'FormulaVersion'>>
}

export const batchTable = table(Batch, 'batch', {
  id: key(),
  mixId: optional(of('mix')),
  formulaVersionId: of('formula_version'),
  madeAt: instant(),
  madeBy: optional(of('person')),
  ph: optional(amount()),
  note: usually(text(), ''),
  phCelsius: optional(amount()),
  phExpected: optional(amount()),
  phUncertainty: optional(amount()),
  phWhy: optional(text()),
})
