import type { DischargeRule, Drum as Family } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { json, keyed, text, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Discharge: ModelStatic<Discharge>
  }
}

/** What a paper lets of one family go down the drain. */
export class Discharge extends Model<InferAttributes<Discharge>, InferCreationAttributes<Discharge>> {
  declare family: Family
  declare version: CreationOptional<number>
  declare body: DischargeRule
}

export const dischargeTable = table(Discharge, 'discharge_rule', {
  family: keyed(text()),
  version: version(),
  body: json(),
})
