import type { sheetTypes } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { bytes, instant, keyed, of, optional, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    PickupReceipt: ModelStatic<PickupReceipt>
  }
}

/** The contractor's receipt, as a file. */
export class PickupReceipt extends Model<InferAttributes<PickupReceipt>, InferCreationAttributes<PickupReceipt>> {
  declare pickupId: string
  declare name: string
  declare type: (typeof sheetTypes)[number]
  declare bytes: Buffer
  declare at: number
  declare byPerson: string | null
}

export const pickupReceiptTable = table(PickupReceipt, 'pickup_receipt', {
  pickupId: keyed(of('pickup')),
  name: text(),
  type: text(),
  bytes: bytes(),
  at: instant(),
  byPerson: optional(of('person')),
})
