import type { FormulaBody } from '@selvrin/core/contract'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { instant, json, key, of, optional, text, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    FormulaVersion: ModelStatic<FormulaVersion>
  }
}

export class FormulaVersion extends Model<InferAttributes<FormulaVersion>, InferCreationAttributes<FormulaVersion>> {
  declare id: string
  declare formulaId: string
  declare number: number
  declare body: FormulaBody
  declare changedBy: CreationOptional<string | null>
  declare changedAt: number
  declare overruled: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const formulaVersionTable = table(FormulaVersion, 'formula_version', {
  id: key(),
  formulaId: of('formula'),
  number: whole(),
  body: json(),
  changedBy: optional(of('person')),
  changedAt: instant(),
  overruled: optional(text()),
})
