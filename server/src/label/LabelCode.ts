import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { keyed, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    LabelCode: ModelStatic<LabelCode>
  }
}

export class LabelCode extends Model<InferAttributes<LabelCode>, InferCreationAttributes<LabelCode>> {
  declare code: string
}

export const labelCodeTable = table(LabelCode, 'label_code', {
  code: keyed(text()),
})
