import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { bytes, instant, keyed, of, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    SheetPhoto: ModelStatic<SheetPhoto>
  }
}

/** A photograph of a print. */
export class SheetPhoto extends Model<InferAttributes<SheetPhoto>, InferCreationAttributes<SheetPhoto>> {
  declare sheetId: string
  declare type: 'image/png' | 'image/jpeg'
  declare bytes: Buffer
  declare at: number
}

export const sheetPhotoTable = table(SheetPhoto, 'sheet_photo', {
  sheetId: keyed(of('sheet')),
  type: text(),
  bytes: bytes(),
  at: instant(),
})
