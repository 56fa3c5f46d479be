import type { LoadingStage, TrainingTask } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { counted, instant, key, of, optional, text, usually } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Training: ModelStatic<Training>
  }
}

/** What somebody was shown, or that it was taken away: a line that stays. */
export class Training extends Model<InferAttributes<Training>, InferCreationAttributes<Training>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare personId: string
  declare kind: 'given' | 'revoked'
  declare task: TrainingTask
  declare at: number
  declare writtenAt: number
  declare byPerson: string | null
  declare stage: CreationOptional<LoadingStage | null>
  declare shown: CreationOptional<string>
  declare outside: CreationOptional<string>
  declare practiceId: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare person?: NonAttribute<Row<'Person'> | null>
}

export const trainingTable = table(Training, 'training', {
  id: key(),
  seq: counted('bigint'),
  personId: of('person'),
  kind: text(),
  task: text(),
  at: instant(),
  writtenAt: instant(),
  byPerson: optional(of('person')),
  stage: optional(text()),
  shown: usually(text(), ''),
  outside: usually(text(), ''),
  practiceId: optional(of('practice')),
})
