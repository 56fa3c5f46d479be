import type { Device as Shown } from '@selvrin/core/contract'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { flag, json, key, optional, text, usually, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Device: ModelStatic<Device>
  }
}

export class Device extends Model<InferAttributes<Device>, InferCreationAttributes<Device>> {
  declare id: string
  declare version: CreationOptional<number>
  declare kind: Shown['kind']
  declare name: string
  declare host: string
  declare port: number
  declare pattern: string
  declare active: CreationOptional<boolean>
  declare simulated: CreationOptional<boolean>
  declare calibration: CreationOptional<NonNullable<Shown['calibration']> | null>
  declare command: CreationOptional<string>
  declare water: CreationOptional<NonNullable<Shown['water']> | null>
  declare instrument?: NonAttribute<Row<'Instrument'> | null>
}

export const deviceTable = table(Device, 'device', {
  id: key(),
  version: version(),
  kind: text(),
  name: text(),
  host: text(),
  port: whole(),
  pattern: text(),
  active: usually(flag(), true),
  simulated: usually(flag(), false),
  calibration: optional(json()),
  command: usually(text(), ''),
  water: optional(json()),
})
