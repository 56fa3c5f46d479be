import type { ImportRow as Staged } from '@selvrin/core/contract'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { json, keyed, of, whole } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    ImportRow: ModelStatic<ImportRow>
  }
}

export class ImportRow extends Model<InferAttributes<ImportRow>, InferCreationAttributes<ImportRow>> {
  declare importId: string
  declare position: number
  declare row: Staged
}

export const importRowTable = table(ImportRow, 'import_row', {
  importId: keyed(of('import')),
  position: keyed(whole()),
  row: json(),
})
