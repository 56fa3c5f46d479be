import type { ExposureBody } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, json, key, of, optional, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    ExposureNote: ModelStatic<ExposureNote>
  }
}

/** A reaction somebody had: read by its owner and by named technicians, in no export. */
export class ExposureNote extends Model<InferAttributes<ExposureNote>, InferCreationAttributes<ExposureNote>> {
  declare id: string
  declare version: CreationOptional<number>
  declare personId: string
  declare writtenAt: number
  declare byPerson: string | null
  declare body: ExposureBody
  declare person?: NonAttribute<Row<'Person'> | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const exposureNoteTable = table(ExposureNote, 'exposure_note', {
  id: key(),
  version: version(),
  personId: of('person'),
  writtenAt: instant(),
  byPerson: optional(of('person')),
  body: json(),
})
