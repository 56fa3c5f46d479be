import type { IncidentBody } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, json, key, of, optional, text, version } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Incident: ModelStatic<Incident>
  }
}

/** Something was spilled. */
export class Incident extends Model<InferAttributes<Incident>, InferCreationAttributes<Incident>> {
  declare id: string
  declare version: CreationOptional<number>
  declare writtenAt: number
  declare byPerson: string | null
  declare body: IncidentBody
  declare refilledAt: CreationOptional<number | null>
  declare refilledBy: CreationOptional<string | null>
  declare struckAt: CreationOptional<number | null>
  declare struckWhy: CreationOptional<string | null>
  declare struckBy: CreationOptional<string | null>
  declare by?: NonAttribute<Row<'Person'> | null>
  declare photo?: NonAttribute<Row<'IncidentPhoto'> | null>
}

export const incidentTable = table(Incident, 'incident', {
  id: key(),
  version: version(),
  writtenAt: instant(),
  byPerson: optional(of('person')),
  body: json(),
  refilledAt: optional(instant()),
  refilledBy: optional(of('person')),
  struckAt: optional(instant()),
  struckWhy: optional(text()),
  struckBy: optional(of('person')),
})
