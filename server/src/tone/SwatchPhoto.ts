import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { bytes, instant, keyed, of, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    SwatchPhoto: ModelStatic<SwatchPhoto>
  }
}

/** A photograph of a toned strip. */
export class SwatchPhoto extends Model<InferAttributes<SwatchPhoto>, InferCreationAttributes<SwatchPhoto>> {
  declare swatchId: string
  declare type: 'image/png' | 'image/jpeg'
  declare bytes: Buffer
  declare at: number
}

export const swatchPhotoTable = table(SwatchPhoto, 'swatch_photo', {
  swatchId: keyed(of('swatch')),
  type: text(),
  bytes: bytes(),
  at: instant(),
})
