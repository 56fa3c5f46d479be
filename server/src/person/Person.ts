import type { Me } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { flag, instant, key, optional, text, usually, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Person: ModelStatic<Person>
  }
}

export class Person extends Model<InferAttributes<Person>, InferCreationAttributes<Person>> {
  declare id: string
  declare version: CreationOptional<number>
  declare name: string
  declare login: string
  declare role: Me['role']
  declare passwordHash: CreationOptional<string | null>
  declare active: CreationOptional<boolean>
  declare units: CreationOptional<Me['units']>
  declare letterKeys: CreationOptional<boolean>
  declare sounds: CreationOptional<boolean>
  declare createdAt: number
  declare decimal: CreationOptional<Me['decimal']>
}

export const personTable = table(Person, 'person', {
  id: key(),
  version: version(),
  name: text(),
  login: text(),
  role: text(),
  passwordHash: optional(text()),
  active: usually(flag(), true),
  units: usually(text(), 'metric'),
  letterKeys: usually(flag(), true),
  sounds: usually(flag(), true),
  createdAt: instant(),
  decimal: usually(text(), 'point'),
})
