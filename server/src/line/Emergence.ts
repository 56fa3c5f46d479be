import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, counted, instant, key, of, optional } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Emergence: ModelStatic<Emergence>
  }
}

/** How long a middle tone took to begin to show in a tray of developer, read at a temperature on a paper. */
export class Emergence extends Model<InferAttributes<Emergence>, InferCreationAttributes<Emergence>> {
  declare id: string
  declare seq: CreationOptional<number>
  declare fillId: string
  declare paperId: string
  declare at: number
  declare byPerson: string | null
  declare seconds: number
  declare celsius: number
}

export const emergenceTable = table(Emergence, 'emergence', {
  id: key(),
  seq: counted('bigint'),
  fillId: of('tray_fill'),
  paperId: of('paper'),
  at: instant(),
  byPerson: optional(of('person')),
  seconds: amount(),
  celsius: amount(),
})
