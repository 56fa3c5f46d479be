import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, amounts, instant, key, of, optional, text, usually, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    ChartRow: ModelStatic<ChartRow>
  }
}

export class ChartRow extends Model<InferAttributes<ChartRow>, InferCreationAttributes<ChartRow>> {
  declare id: string
  declare film: string
  declare formulaId: string
  declare parts: number[]
  declare ei: number
  declare temperatureC: number
  declare seconds: number
  declare source: CreationOptional<string>
  declare note: CreationOptional<string>
  declare byPerson: CreationOptional<string | null>
  declare version: CreationOptional<number>
  declare triedAt: CreationOptional<number | null>
  declare triedBy: CreationOptional<string | null>
  declare triedNote: CreationOptional<string>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare tester?: NonAttribute<Row<'Person'> | null>
}

export const chartRowTable = table(ChartRow, 'chart_row', {
  id: key(),
  film: text(),
  formulaId: of('formula'),
  parts: amounts(),
  ei: whole(),
  temperatureC: amount(),
  seconds: amount(),
  source: usually(text(), ''),
  note: usually(text(), ''),
  byPerson: optional(of('person')),
  version: version(),
  triedAt: optional(instant()),
  triedBy: optional(of('person')),
  triedNote: usually(text(), ''),
})
