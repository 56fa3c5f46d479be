import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type NonAttribute } from 'sequelize'
import { instant, keyed, of, optional } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    ExposureReader: ModelStatic<ExposureReader>
  }
}

/** A technician who was named to read notes of exposure. */
export class ExposureReader extends Model<InferAttributes<ExposureReader>, InferCreationAttributes<ExposureReader>> {
  declare personId: string
  declare namedBy: string | null
  declare at: number
  declare person?: NonAttribute<Row<'Person'> | null>
  declare namer?: NonAttribute<Row<'Person'> | null>
}

export const exposureReaderTable = table(ExposureReader, 'exposure_reader', {
  personId: keyed(of('person')),
  namedBy: optional(of('person')),
  at: instant(),
})
