import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, keyed, of, uuidOf } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    EveningBath: ModelStatic<EveningBath>
  }
}

/** What a load of an evening wants of a bottle, as it is planned now. */
export class EveningBath extends Model<InferAttributes<EveningBath>, InferCreationAttributes<EveningBath>> {
  declare loadId: string
  declare bottleId: string
  declare eveningId: string
  /** ml that are taken from it for good */
  declare ml: number
  /** roll equivalents that go through it */
  declare rolls: number
}

export const eveningBathTable = table(EveningBath, 'evening_bath', {
  loadId: keyed(uuidOf()),
  bottleId: keyed(of('bottle')),
  eveningId: of('evening'),
  ml: amount(),
  rolls: amount(),
})
