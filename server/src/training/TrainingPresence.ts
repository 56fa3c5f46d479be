import type { TrainingTask } from '@selvrin/core'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type NonAttribute } from 'sequelize'
import { instant, key, of, optional, texts } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    TrainingPresence: ModelStatic<TrainingPresence>
  }
}

/** A technician who was present stood in for what somebody lacks. */
export class TrainingPresence extends Model<InferAttributes<TrainingPresence>, InferCreationAttributes<TrainingPresence>> {
  declare id: string
  declare personId: string
  declare tasks: TrainingTask[]
  declare byPerson: string | null
  declare at: number
  declare until: number
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const trainingPresenceTable = table(TrainingPresence, 'training_presence', {
  id: key(),
  personId: of('person'),
  tasks: texts(),
  byPerson: optional(of('person')),
  at: instant(),
  until: instant(),
})
