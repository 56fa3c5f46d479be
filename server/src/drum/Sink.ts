import type { SinkFacts } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { flag, json, keyed, usually, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Sink: ModelStatic<Sink>
  }
}

/** What the darkroom says of its sink: one row, once somebody has said so. */
export class Sink extends Model<InferAttributes<Sink>, InferCreationAttributes<Sink>> {
  declare onlyRow: CreationOptional<boolean>
  declare version: CreationOptional<number>
  declare body: SinkFacts
}

export const sinkTable = table(Sink, 'sink', {
  onlyRow: usually(keyed(flag()), true),
  version: version(),
  body: json(),
})
