import type { Guide } from '@selvrin/core'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { instant, key, of, optional, text } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    RollMark: ModelStatic<RollMark>
  }
}

export class RollMark extends Model<InferAttributes<RollMark>, InferCreationAttributes<RollMark>> {
  declare id: string
  declare rollId: string
  declare proofId: string
  declare at: number
  declare text: string
  declare helps: Guide['helps']
  declare clearedAt: CreationOptional<number | null>
  declare cleared: CreationOptional<string | null>
  declare clearedBy: CreationOptional<string | null>
  declare roll?: NonAttribute<Row<'Roll'>>
}

export const rollMarkTable = table(RollMark, 'roll_mark', {
  id: key(),
  rollId: of('roll'),
  proofId: of('proof'),
  at: instant(),
  text: text(),
  helps: text(),
  clearedAt: optional(instant()),
  cleared: optional(text()),
  clearedBy: optional(of('person')),
})
