import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, key, of, optional, text, version, whole } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Pickup: ModelStatic<Pickup>
  }
}

/** Drums that a contractor comes for, or came for. */
export class Pickup extends Model<InferAttributes<Pickup>, InferCreationAttributes<Pickup>> {
  declare id: string
  declare version: CreationOptional<number>
  declare number: number
  declare contractor: string
  declare licence: string
  declare handedBy: string
  declare byPerson: string | null
  declare at: number
  declare collectedAt: CreationOptional<number | null>
  declare receipt: CreationOptional<string | null>
}

export const pickupTable = table(Pickup, 'pickup', {
  id: key(),
  version: version(),
  number: whole(),
  contractor: text(),
  licence: text(),
  handedBy: text(),
  byPerson: optional(of('person')),
  at: instant(),
  collectedAt: optional(instant()),
  receipt: optional(text()),
})
