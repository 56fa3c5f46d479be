import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, key, of, optional, text, usually, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Letter: ModelStatic<Letter>
  }
}

/** What is written to somebody because of a notice; the database writes it with the notice. */
export class Letter extends Model<InferAttributes<Letter>, InferCreationAttributes<Letter>> {
  declare id: string
  declare personId: string
  declare noticeId: string
  declare text: string
  declare at: number
  declare nextAt: CreationOptional<number | null>
  declare sentAt: CreationOptional<number | null>
  declare tries: CreationOptional<number>
  declare error: CreationOptional<string | null>
  declare person?: NonAttribute<Row<'Person'>>
}

export const letterTable = table(Letter, 'letter', {
  id: key(),
  personId: of('person'),
  noticeId: of('notice'),
  text: text(),
  at: instant(),
  nextAt: optional(instant()),
  sentAt: optional(instant()),
  tries: usually(whole(), 0),
  error: optional(text()),
})
