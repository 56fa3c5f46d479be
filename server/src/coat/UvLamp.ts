import type { UvLampBody } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, instant, json, key, optional, usually, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    UvLamp: ModelStatic<UvLamp>
  }
}

/** A UV lamp of the house; its hours in `body` as they were written down, what it ran since beside them, s. */
export class UvLamp extends Model<InferAttributes<UvLamp>, InferCreationAttributes<UvLamp>> {
  declare id: string
  declare version: CreationOptional<number>
  declare body: UvLampBody
  declare runS: CreationOptional<number>
  declare goneAt: CreationOptional<number | null>
}

export const uvLampTable = table(UvLamp, 'uv_lamp', {
  id: key(),
  version: version(),
  body: json(),
  runS: usually(amount(), 0),
  goneAt: optional(instant()),
})
