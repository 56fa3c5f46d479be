import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, key, of, optional, text } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    CalendarKey: ModelStatic<CalendarKey>
  }
}

/** A key that opens a calendar; only what its token comes to is kept. */
export class CalendarKey extends Model<InferAttributes<CalendarKey>, InferCreationAttributes<CalendarKey>> {
  declare id: string
  declare personId: string
  declare whose: 'mine' | 'darkroom'
  declare name: string
  declare tokenHash: string
  declare at: number
  declare revokedAt: CreationOptional<number | null>
  declare person?: NonAttribute<Row<'Person'>>
}

export const calendarKeyTable = table(CalendarKey, 'calendar_key', {
  id: key(),
  personId: of('person'),
  whose: text(),
  name: text(),
  tokenHash: text(),
  at: instant(),
  revokedAt: optional(instant()),
})
