import type { Drum as Family } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, flag, instant, key, of, optional, text, uuidOf, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Drum: ModelStatic<Drum>
  }
}

/** A drum of waste: what it is for never changes. */
export class Drum extends Model<InferAttributes<Drum>, InferCreationAttributes<Drum>> {
  declare id: string
  declare version: CreationOptional<number>
  declare code: string
  declare family: Family
  declare metal: string | null
  declare volumeMl: number
  declare tareKg: number
  declare vented: boolean
  declare trayId: string | null
  declare madeBy: string | null
  declare madeAt: number
  declare labelledAt: CreationOptional<number | null>
  declare sealedAt: CreationOptional<number | null>
  declare quarantinedAt: CreationOptional<number | null>
  declare quarantinedWhy: CreationOptional<string | null>
  declare pickupId: CreationOptional<string | null>
  declare collectedAt: CreationOptional<number | null>
  declare collectedKg: CreationOptional<number | null>
}

export const drumTable = table(Drum, 'drum', {
  id: key(),
  version: version(),
  code: of('label_code', 'code', text()),
  family: text(),
  metal: optional(text()),
  volumeMl: amount(),
  tareKg: amount(),
  vented: flag(),
  trayId: optional(uuidOf()),
  madeBy: optional(of('person')),
  madeAt: instant(),
  labelledAt: optional(instant()),
  sealedAt: optional(instant()),
  quarantinedAt: optional(instant()),
  quarantinedWhy: optional(text()),
  pickupId: optional(of('pickup')),
  collectedAt: optional(instant()),
  collectedKg: optional(amount()),
})
