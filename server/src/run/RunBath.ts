import { Model, type NonAttribute, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, amounts, flag, keyed, of, text } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    RunBath: ModelStatic<RunBath>
  }
}

export class RunBath extends Model<InferAttributes<RunBath>, InferCreationAttributes<RunBath>> {
  declare runId: string
  declare stepKey: string
  declare bottleId: string
  declare parts: number[]
  declare ml: number
  declare equivalents: number
  declare oneShot: boolean
  declare run?: NonAttribute<Row<'Run'>>
  declare bottle?: NonAttribute<Row<'Bottle'>>
}

export const runBathTable = table(RunBath, 'run_bath', {
  runId: keyed(of('run')),
  stepKey: keyed(text()),
  bottleId: of('bottle'),
  parts: amounts(),
  ml: amount(),
  equivalents: amount(),
  oneShot: flag(),
})
