import type { MixEvent as CoreEvent } from '@selvrin/core'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { counted, instant, json, key, of, optional } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    MixEvent: ModelStatic<MixEvent>
  }
}

export class MixEvent extends Model<InferAttributes<MixEvent>, InferCreationAttributes<MixEvent>> {
  declare id: string
  declare mixId: string
  declare position: CreationOptional<number>
  declare event: CoreEvent
  declare byPerson: CreationOptional<string | null>
  declare at: number
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const mixEventTable = table(MixEvent, 'mix_event', {
  id: key(),
  mixId: of('mix'),
  position: counted(),
  event: json(),
  byPerson: optional(of('person')),
  at: instant(),
})
