import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, keyed, of, optional, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    EveningTick: ModelStatic<EveningTick>
  }
}

/** A task of an evening's list that somebody has ticked off. */
export class EveningTick extends Model<InferAttributes<EveningTick>, InferCreationAttributes<EveningTick>> {
  declare eveningId: string
  declare task: string
  declare at: number
  declare byPerson: CreationOptional<string | null>
}

export const eveningTickTable = table(EveningTick, 'evening_tick', {
  eveningId: keyed(of('evening')),
  task: keyed(text()),
  at: instant(),
  byPerson: optional(of('person')),
})
