import type { WishChange } from '@selvrin/core'
import type { OrderLine } from '@selvrin/core/contract'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, json, key, of, optional, text, usually } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    OrderChange: ModelStatic<OrderChange>
  }
}

/** What happened to an order, a line each. */
export class OrderChange extends Model<InferAttributes<OrderChange>, InferCreationAttributes<OrderChange>> {
  declare id: string
  declare orderId: string
  declare at: number
  declare byPerson: CreationOptional<string | null>
  declare what: OrderLine['what']
  declare changes: CreationOptional<WishChange[]>
  declare why: CreationOptional<string>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const orderChangeTable = table(OrderChange, 'order_change', {
  id: key(),
  orderId: of('film_order'),
  at: instant(),
  byPerson: optional(of('person')),
  what: text(),
  changes: usually(json(), []),
  why: usually(text(), ''),
})
