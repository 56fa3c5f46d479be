import type { Carry } from '@selvrin/core'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, big, instant, json, keyed, of, optional, usually, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    BottleCheckpoint: ModelStatic<BottleCheckpoint>
  }
}

export class BottleCheckpoint extends Model<InferAttributes<BottleCheckpoint>, InferCreationAttributes<BottleCheckpoint>> {
  declare bottleId: string
  declare ml: number
  declare entries: number
  declare carried: CreationOptional<number>
  declare carriedAt: CreationOptional<number | null>
  declare carriedSeq: CreationOptional<number | null>
  declare carry: CreationOptional<Carry | null>
  declare bottle?: NonAttribute<Row<'Bottle'>>
}

export const bottleCheckpointTable = table(BottleCheckpoint, 'bottle_checkpoint', {
  bottleId: keyed(of('bottle')),
  ml: amount(),
  entries: whole(),
  carried: usually(whole(), 0),
  carriedAt: optional(instant()),
  carriedSeq: optional(big()),
  carry: optional(json()),
})
