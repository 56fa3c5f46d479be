import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { instant, key, of, optional, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Notice: ModelStatic<Notice>
  }
}

export class Notice extends Model<InferAttributes<Notice>, InferCreationAttributes<Notice>> {
  declare id: string
  declare personId: string
  declare at: number
  declare text: string
  declare rollId: CreationOptional<string | null>
  declare orderId: CreationOptional<string | null>
  declare trainingId: CreationOptional<string | null>
  declare readAt: CreationOptional<number | null>
}

export const noticeTable = table(Notice, 'notice', {
  id: key(),
  personId: of('person'),
  at: instant(),
  text: text(),
  rollId: optional(of('roll')),
  orderId: optional(of('film_order')),
  trainingId: optional(of('training')),
  readAt: optional(instant()),
})
