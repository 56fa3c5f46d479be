import type { JarEntry as Shown } from '@selvrin/core/contract'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { amount, instant, key, of, optional, text, usually } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    JarEntry: ModelStatic<JarEntry>
  }
}

export class JarEntry extends Model<InferAttributes<JarEntry>, InferCreationAttributes<JarEntry>> {
  declare id: string
  declare jarId: string
  declare kind: Shown['kind']
  declare grams: number
  declare mixId: CreationOptional<string | null>
  declare at: number
  declare byPerson: CreationOptional<string | null>
  declare note: CreationOptional<string>
  declare reverses: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const jarEntryTable = table(JarEntry, 'jar_entry', {
  id: key(),
  jarId: of('jar'),
  kind: text(),
  grams: amount(),
  mixId: optional(of('mix')),
  at: instant(),
  byPerson: optional(of('person')),
  note: usually(text(), ''),
  reverses: optional(of('jar_entry')),
})
