import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, key, of, optional, text, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    PrintPlace: ModelStatic<PrintPlace>
  }
}

/** An enlarger that is somebody's for a time; one that was given back stays, with who did. */
export class PrintPlace extends Model<InferAttributes<PrintPlace>, InferCreationAttributes<PrintPlace>> {
  declare id: string
  declare version: CreationOptional<number>
  declare personId: string
  /** of the darkroom's calendar: the opening it lies in */
  declare day: string
  declare fromAt: number
  declare untilAt: number
  /** when it was booked as it is */
  declare at: number
  declare byPerson: string | null
  declare overruled: string | null
  declare takenBackAt: CreationOptional<number | null>
  declare takenBackBy: CreationOptional<string | null>
  declare why: CreationOptional<string | null>
  declare person?: NonAttribute<Row<'Person'>>
}

export const printPlaceTable = table(PrintPlace, 'print_place', {
  id: key(),
  version: version(),
  personId: of('person'),
  day: text(),
  fromAt: instant(),
  untilAt: instant(),
  at: instant(),
  byPerson: optional(of('person')),
  overruled: optional(text()),
  takenBackAt: optional(instant()),
  takenBackBy: optional(of('person')),
  why: optional(text()),
})
