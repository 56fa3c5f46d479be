import type { EveningBody } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, json, key, text, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Evening: ModelStatic<Evening>
  }
}

/** The evening of a day, as it is planned. */
export class Evening extends Model<InferAttributes<Evening>, InferCreationAttributes<Evening>> {
  declare id: string
  declare version: CreationOptional<number>
  /** of the darkroom's calendar, such as 2026-04-14 */
  declare day: string
  declare body: EveningBody
  declare opensAt: number
  declare closesAt: number
}

export const eveningTable = table(Evening, 'evening', {
  id: key(),
  version: version(),
  day: text(),
  body: json(),
  opensAt: instant(),
  closesAt: instant(),
})
