import type { Proof as Shown } from '@selvrin/core/contract'
import {
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, flag, instant, json, key, of, optional, text, usually } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    StandingProof: ModelStatic<StandingProof>
  }
}

/** Tests that count: none that was taken back. A view of the tests, only to be read. */
export class StandingProof extends Model<InferAttributes<StandingProof>, InferCreationAttributes<StandingProof>> {
  declare id: string
  declare kind: string
  declare at: number
  declare byPerson: CreationOptional<string | null>
  declare bottleId: CreationOptional<string | null>
  declare batchId: CreationOptional<string | null>
  declare rollId: CreationOptional<string | null>
  declare instrumentId: CreationOptional<string | null>
  declare fresh: CreationOptional<boolean>
  declare good: CreationOptional<boolean>
  declare reading: Shown['reading']
  declare judgement: Shown['judgement']
  declare rollsPerL: CreationOptional<number | null>
  declare note: CreationOptional<string>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const standingProofTable = table(StandingProof, 'standing_proof', {
  id: key(),
  kind: text(),
  at: instant(),
  byPerson: optional(of('person')),
  bottleId: optional(of('bottle')),
  batchId: optional(of('batch')),
  rollId: optional(of('roll')),
  instrumentId: optional(of('instrument')),
  fresh: usually(flag(), false),
  good: usually(flag(), false),
  reading: json(),
  judgement: json(),
  rollsPerL: optional(amount()),
  note: usually(text(), ''),
})
