import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, keyed, of, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    OneTimeCode: ModelStatic<OneTimeCode>
  }
}

export class OneTimeCode extends Model<InferAttributes<OneTimeCode>, InferCreationAttributes<OneTimeCode>> {
  declare codeHash: string
  declare personId: string
  declare expiresAt: number
}

export const oneTimeCodeTable = table(OneTimeCode, 'one_time_code', {
  codeHash: keyed(text()),
  personId: of('person'),
  expiresAt: instant(),
})
