import type { OrderState, OrderWish } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { amount, flag, instant, json, key, of, optional, text, usually, version, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    FilmOrder: ModelStatic<FilmOrder>
  }
}

/** Rolls somebody handed in to be developed. */
export class FilmOrder extends Model<InferAttributes<FilmOrder>, InferCreationAttributes<FilmOrder>> {
  declare id: string
  declare version: CreationOptional<number>
  declare wishVersion: CreationOptional<number>
  declare number: number
  declare memberId: string | null
  declare state: CreationOptional<OrderState>
  declare film: string
  declare format: OrderWish['format']
  declare count: number
  declare ei: number
  declare pushStops: number
  declare processId: string
  declare developer: OrderWish['developer']
  declare earliest: number | null
  declare wantedBy: number | null
  declare present: boolean
  declare critical: boolean
  declare note: string
  declare rack: CreationOptional<number | null>
  declare beginsAt: CreationOptional<number | null>
  declare hangsAt: CreationOptional<number | null>
  declare promisedFor: CreationOptional<string | null>
  declare cost: CreationOptional<number | null>
  declare handedBy: CreationOptional<string | null>
  declare handedAt: number
  declare why: CreationOptional<string | null>
  declare member?: NonAttribute<Row<'Person'> | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare photo?: NonAttribute<Row<'OrderPhoto'> | null>
}

export const filmOrderTable = table(FilmOrder, 'film_order', {
  id: key(),
  version: version(),
  wishVersion: usually(whole(), 1),
  number: whole(),
  memberId: optional(of('person')),
  state: usually(text(), 'waiting'),
  film: text(),
  format: text(),
  count: whole(),
  ei: whole(),
  pushStops: amount(),
  processId: of('process'),
  developer: optional(json()),
  earliest: optional(instant()),
  wantedBy: optional(instant()),
  present: flag(),
  critical: flag(),
  note: usually(text(), ''),
  rack: optional(whole()),
  beginsAt: optional(instant()),
  hangsAt: optional(instant()),
  promisedFor: optional(text()),
  cost: optional(amount()),
  handedBy: optional(of('person')),
  handedAt: instant(),
  why: optional(text()),
})
