import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { bytes, instant, keyed, of, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    OrderPhoto: ModelStatic<OrderPhoto>
  }
}

/** A photograph of an order's canister. */
export class OrderPhoto extends Model<InferAttributes<OrderPhoto>, InferCreationAttributes<OrderPhoto>> {
  declare orderId: string
  declare type: 'image/png' | 'image/jpeg'
  declare bytes: Buffer
  declare at: number
}

export const orderPhotoTable = table(OrderPhoto, 'order_photo', {
  orderId: keyed(of('film_order')),
  type: text(),
  bytes: bytes(),
  at: instant(),
})
