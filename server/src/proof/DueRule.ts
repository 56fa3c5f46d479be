import type { DueRuleRow } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { amount, flag, key, optional, text, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    DueRule: ModelStatic<DueRule>
  }
}

export class DueRule extends Model<InferAttributes<DueRule>, InferCreationAttributes<DueRule>> {
  declare id: string
  declare version: CreationOptional<number>
  declare family: DueRuleRow['family']
  declare kind: DueRuleRow['kind']
  declare atMixing: boolean
  declare everyDays: CreationOptional<number | null>
  declare everyShare: CreationOptional<number | null>
  declare beforeCritical: boolean
  declare active: boolean
}

export const dueRuleTable = table(DueRule, 'due_rule', {
  id: key(),
  version: version(),
  family: text(),
  kind: text(),
  atMixing: flag(),
  everyDays: optional(amount()),
  everyShare: optional(amount()),
  beforeCritical: flag(),
  active: flag(),
})
