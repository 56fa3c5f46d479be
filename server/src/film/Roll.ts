import type { Roll as Shown } from '@selvrin/core/contract'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, flag, instant, json, key, of, optional, text, usually, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Roll: ModelStatic<Roll>
  }
}

export class Roll extends Model<InferAttributes<Roll>, InferCreationAttributes<Roll>> {
  declare id: string
  declare version: CreationOptional<number>
  declare runId: string
  /** the order it came in */
  declare orderId: CreationOptional<string | null>
  declare memberId: CreationOptional<string | null>
  declare film: string
  declare format: Shown['format']
  declare ei: number
  declare developer: string
  declare developedS: CreationOptional<number | null>
  declare temperatureC: CreationOptional<number | null>
  declare at: number
  declare result: CreationOptional<NonNullable<Shown['result']> | null>
  declare contrast: CreationOptional<NonNullable<Shown['contrast']> | null>
  declare note: CreationOptional<string>
  declare takenBack: CreationOptional<boolean>
  declare slowClearing: CreationOptional<boolean | null>
  declare reel: CreationOptional<number | null>
  declare faults: CreationOptional<Shown['faults']>
  declare densities: CreationOptional<Shown['densities']>
  declare wiping: CreationOptional<Shown['wiping']>
  declare dryer: CreationOptional<Shown['dryer']>
  declare hungAt: CreationOptional<number | null>
  declare hanger: CreationOptional<number | null>
  declare cut: CreationOptional<number | null>
  declare sleeve: CreationOptional<string | null>
  declare sleevedAt: CreationOptional<number | null>
  declare handedAt: CreationOptional<number | null>
  declare member?: NonAttribute<Row<'Person'> | null>
  declare run?: NonAttribute<Row<'Run'>>
  declare marks?: NonAttribute<Row<'RollMark'>[]>
}

export const rollTable = table(Roll, 'roll', {
  id: key(),
  version: version(),
  runId: of('run'),
  orderId: optional(of('film_order')),
  memberId: optional(of('person')),
  film: text(),
  format: text(),
  ei: whole(),
  developer: text(),
  developedS: optional(amount()),
  temperatureC: optional(amount()),
  at: instant(),
  result: optional(text()),
  contrast: optional(text()),
  note: usually(text(), ''),
  takenBack: usually(flag(), false),
  slowClearing: optional(flag()),
  reel: optional(whole()),
  faults: usually(json(), []),
  densities: optional(json()),
  wiping: optional(text()),
  dryer: optional(text()),
  hungAt: optional(instant()),
  hanger: optional(whole()),
  cut: optional(whole()),
  sleeve: optional(text()),
  sleevedAt: optional(instant()),
  handedAt: optional(instant()),
})
