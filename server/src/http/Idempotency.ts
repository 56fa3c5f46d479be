import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { instant, json, keyed, of, optional, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Idempotency: ModelStatic<Idempotency>
  }
}

export class Idempotency extends Model<InferAttributes<Idempotency>, InferCreationAttributes<Idempotency>> {
  declare personId: string
  declare key: string
  declare requestHash: string
  declare answer: CreationOptional<unknown | null>
  declare createdAt: number
}

export const idempotencyTable = table(Idempotency, 'idempotency', {
  personId: keyed(of('person')),
  key: keyed(text()),
  requestHash: text(),
  answer: optional(json()),
  createdAt: instant(),
})
