import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { amount, flag, keyed, optional, text, texts, usually, version, whole } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Darkroom: ModelStatic<Darkroom>
  }
}

export class Darkroom extends Model<InferAttributes<Darkroom>, InferCreationAttributes<Darkroom>> {
  declare onlyRow: CreationOptional<boolean>
  declare kind: 'demo' | 'house'
  declare version: CreationOptional<number>
  declare name: string
  declare zone: string
  declare tapColdC: CreationOptional<number | null>
  declare tapHotC: CreationOptional<number | null>
  declare roomC: CreationOptional<number | null>
  declare scaleReadabilityG: CreationOptional<number>
  declare firstCodeHash: CreationOptional<string | null>
  declare currency: CreationOptional<string>
  declare secondCheck: CreationOptional<boolean>
  declare hosts: CreationOptional<string[]>
  declare publicDevices: CreationOptional<boolean>
  declare leftOut: CreationOptional<string[]>
  declare hangers: CreationOptional<number>
}

export const darkroomTable = table(Darkroom, 'darkroom', {
  onlyRow: usually(keyed(flag()), true),
  kind: text(),
  version: version(),
  name: text(),
  zone: text(),
  tapColdC: optional(amount()),
  tapHotC: optional(amount()),
  roomC: optional(amount()),
  scaleReadabilityG: usually(amount(), 0.1),
  firstCodeHash: optional(text()),
  currency: usually(text(), 'EUR'),
  secondCheck: usually(flag(), false),
  hosts: usually(texts(), []),
  publicDevices: usually(flag(), false),
  leftOut: usually(texts(), []),
  hangers: usually(whole(), 8),
})
