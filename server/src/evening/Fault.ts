import type { Fault as Shown } from '@selvrin/core/contract'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, key, of, optional, text, usually, uuidOf, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Fault: ModelStatic<Fault>
  }
}

/** Something that is not as it should be, until a named check has shown that it is. */
export class Fault extends Model<InferAttributes<Fault>, InferCreationAttributes<Fault>> {
  declare id: string
  declare version: CreationOptional<number>
  declare thing: Shown['thing']
  declare thingId: string | null
  declare name: string
  declare what: string
  declare state: CreationOptional<Shown['state']>
  declare byPerson: CreationOptional<string | null>
  declare at: number
  declare checked: CreationOptional<string | null>
  declare closedBy: CreationOptional<string | null>
  declare closedAt: CreationOptional<number | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare closer?: NonAttribute<Row<'Person'> | null>
}

export const faultTable = table(Fault, 'fault', {
  id: key(),
  version: version(),
  thing: text(),
  thingId: optional(uuidOf()),
  name: text(),
  what: text(),
  state: usually(text(), 'doubt'),
  byPerson: optional(of('person')),
  at: instant(),
  checked: optional(text()),
  closedBy: optional(of('person')),
  closedAt: optional(instant()),
})
