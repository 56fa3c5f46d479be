import type { Finding, Practised, PractisedLoading } from '@selvrin/core'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { flag, instant, json, key, of, optional, text, usually, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Practice: ModelStatic<Practice>
  }
}

/** A run that was practised dry, or a reel that was loaded for practice. */
export class Practice extends Model<InferAttributes<Practice>, InferCreationAttributes<Practice>> {
  declare id: string
  declare personId: string
  declare at: number
  declare processVersionId: CreationOptional<string | null>
  /** as the process was practised: its choices, and how it was agitated */
  declare options: CreationOptional<Record<string, boolean>>
  declare agitation: CreationOptional<string>
  declare practised: CreationOptional<Practised | null>
  declare loading: CreationOptional<PractisedLoading | null>
  declare findings: CreationOptional<Finding[]>
  declare score: CreationOptional<number | null>
  declare clean: boolean
  declare person?: NonAttribute<Row<'Person'> | null>
  declare process?: NonAttribute<Row<'ProcessVersion'> | null>
}

export const practiceTable = table(Practice, 'practice', {
  id: key(),
  personId: of('person'),
  at: instant(),
  processVersionId: optional(of('process_version')),
  options: usually(json(), {}),
  agitation: usually(text(), '30-5-30'),
  practised: optional(json()),
  loading: optional(json()),
  findings: usually(json(), []),
  score: optional(whole()),
  clean: flag(),
})
