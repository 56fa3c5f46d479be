import type { Instrument as Shown } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { amount, instant, json, key, of, optional, text, usually, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Instrument: ModelStatic<Instrument>
  }
}

export class Instrument extends Model<InferAttributes<Instrument>, InferCreationAttributes<Instrument>> {
  declare id: string
  declare version: CreationOptional<number>
  declare kind: Shown['kind']
  declare name: string
  declare deviceId: CreationOptional<string | null>
  declare points: CreationOptional<Shown['points']>
  declare safeMinutes: CreationOptional<number | null>
  declare testedAt: CreationOptional<number | null>
  declare reference: CreationOptional<NonNullable<Shown['reference']> | null>
  declare limits: CreationOptional<NonNullable<Shown['limits']> | null>
}

export const instrumentTable = table(Instrument, 'instrument', {
  id: key(),
  version: version(),
  kind: text(),
  name: text(),
  deviceId: optional(of('device')),
  points: usually(json(), []),
  safeMinutes: optional(amount()),
  testedAt: optional(instant()),
  reference: optional(json()),
  limits: optional(json()),
})
