import type { sheetTypes } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { bytes, instant, keyed, of, optional, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    JarSheet: ModelStatic<JarSheet>
  }
}

export class JarSheet extends Model<InferAttributes<JarSheet>, InferCreationAttributes<JarSheet>> {
  declare jarId: string
  declare name: string
  declare type: (typeof sheetTypes)[number]
  declare bytes: Buffer
  declare at: number
  declare byPerson: CreationOptional<string | null>
}

export const jarSheetTable = table(JarSheet, 'jar_sheet', {
  jarId: keyed(of('jar')),
  name: text(),
  type: text(),
  bytes: bytes(),
  at: instant(),
  byPerson: optional(of('person')),
})
