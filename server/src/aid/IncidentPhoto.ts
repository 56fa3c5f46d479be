import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { bytes, instant, keyed, of, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    IncidentPhoto: ModelStatic<IncidentPhoto>
  }
}

/** A photograph of what was spilled. */
export class IncidentPhoto extends Model<InferAttributes<IncidentPhoto>, InferCreationAttributes<IncidentPhoto>> {
  declare incidentId: string
  declare type: 'image/png' | 'image/jpeg'
  declare bytes: Buffer
  declare at: number
}

export const incidentPhotoTable = table(IncidentPhoto, 'incident_photo', {
  incidentId: keyed(of('incident')),
  type: text(),
  bytes: bytes(),
  at: instant(),
})
