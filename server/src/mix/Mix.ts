import type { Mix as Shown } from '@selvrin/core/contract'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, flag, instant, key, of, optional, text, usually, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Mix: ModelStatic<Mix>
  }
}

export class Mix extends Model<InferAttributes<Mix>, InferCreationAttributes<Mix>> {
  declare id: string
  declare version: CreationOptional<number>
  declare state: CreationOptional<Shown['state']>
  declare formulaVersionId: string
  declare finalMl: number
  declare startedBy: CreationOptional<string | null>
  /** whose hands weigh, where it is not whoever began it */
  declare handPerson: CreationOptional<string | null>
  declare startedAt: number
  declare endedAt: CreationOptional<number | null>
  declare why: CreationOptional<string | null>
  declare secondCheck: CreationOptional<boolean>
  declare note: CreationOptional<string>
  declare overruled: CreationOptional<string | null>
  declare kitSetId: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare hand?: NonAttribute<Row<'Person'> | null>
  declare madeOf?: NonAttribute<Row<'FormulaVersion'>>
  declare batch?: NonAttribute<Row<'Batch'> | null>
}

export const mixTable = table(Mix, 'mix', {
  id: key(),
  version: version(),
  state: usually(text(), 'open'),
  formulaVersionId: of('formula_version'),
  finalMl: amount(),
  startedBy: optional(of('person')),
  handPerson: optional(of('person')),
  startedAt: instant(),
  endedAt: optional(instant()),
  why: optional(text()),
  secondCheck: usually(flag(), false),
  note: usually(text(), ''),
  overruled: optional(text()),
  kitSetId: optional(of('kit_set')),
})
