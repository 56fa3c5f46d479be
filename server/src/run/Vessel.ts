import type { Vessel as Shown } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { amount, amounts, json, key, optional, text, usually, version, whole } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Vessel: ModelStatic<Vessel>
  }
}

export class Vessel extends Model<InferAttributes<Vessel>, InferCreationAttributes<Vessel>> {
  declare id: string
  declare name: string
  declare kind: Shown['kind']
  declare format: Shown['format']
  declare reels: number
  declare coversMl: number[]
  declare version: CreationOptional<number>
  declare carryMl: CreationOptional<number | null>
  declare also: CreationOptional<NonNullable<Shown['also']>>
}

export const vesselTable = table(Vessel, 'vessel', {
  id: key(),
  name: text(),
  kind: text(),
  format: text(),
  reels: whole(),
  coversMl: amounts(),
  version: version(),
  carryMl: optional(amount()),
  also: usually(json(), []),
})
