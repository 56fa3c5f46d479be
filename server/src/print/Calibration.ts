import type { CalibrationBody } from '@selvrin/core'
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
    Calibration: ModelStatic<Calibration>
  }
}

/** Something of the print room that was matched or measured, and holds from then on. */
export class Calibration extends Model<InferAttributes<Calibration>, InferCreationAttributes<Calibration>> {
  declare id: string
  declare version: CreationOptional<number>
  declare at: number
  declare byPerson: string | null
  declare body: CalibrationBody
  declare takenBackAt: CreationOptional<number | null>
  declare takenBackBy: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const calibrationTable = table(Calibration, 'calibration', {
  id: key(),
  version: version(),
  at: instant(),
  byPerson: optional(of('person')),
  body: json(),
  takenBackAt: optional(instant()),
  takenBackBy: optional(of('person')),
})
