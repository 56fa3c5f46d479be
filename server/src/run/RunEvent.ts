import type { RunEvent as CoreEvent } from '@selvrin/core'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { instant, json, key, of, optional } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    RunEvent: ModelStatic<RunEvent>
  }
}

export class RunEvent extends Model<InferAttributes<RunEvent>, InferCreationAttributes<RunEvent>> {
  declare id: string
  declare runId: string
  declare event: CoreEvent
  declare at: number
  declare byPerson: CreationOptional<string | null>
}

export const runEventTable = table(RunEvent, 'run_event', {
  id: key(),
  runId: of('run'),
  event: json(),
  at: instant(),
  byPerson: optional(of('person')),
})
