import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, instant, keyed, of, optional } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    BathReading: ModelStatic<BathReading>
  }
}

/** A line of a bath's log. */
export class BathReading extends Model<InferAttributes<BathReading>, InferCreationAttributes<BathReading>> {
  declare deviceId: string
  declare at: number
  declare c: number
  declare setC: CreationOptional<number | null>
  declare heater: number
}

export const bathReadingTable = table(BathReading, 'bath_reading', {
  deviceId: keyed(of('device')),
  at: keyed(instant()),
  c: amount(),
  setC: optional(amount()),
  heater: amount(),
})
