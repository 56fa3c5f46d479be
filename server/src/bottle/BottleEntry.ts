import type { BottleEntry as CoreEntry, Brought, BathPlace, TestMark, Throughput } from '@selvrin/core'
import {
  fn,
  Model,
  type NonAttribute,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type CreationOptional,
} from 'sequelize'
import { amount, counted, instant, json, key, of, optional, text, usually, uuidOf, whole } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    BottleEntry: ModelStatic<BottleEntry>
  }
}

export class BottleEntry extends Model<InferAttributes<BottleEntry>, InferCreationAttributes<BottleEntry>> {
  declare id: string
  declare bottleId: string
  declare kind: CoreEntry['kind']
  declare at: number
  declare writtenAt: CreationOptional<number>
  declare byPerson: CreationOptional<string | null>
  declare ml: number
  declare throughput: CreationOptional<Throughput[]>
  declare waterInMl: CreationOptional<number>
  declare runId: CreationOptional<string | null>
  declare reverses: CreationOptional<string | null>
  declare note: CreationOptional<string>
  declare seq: CreationOptional<number>
  declare celsius: CreationOptional<number | null>
  declare container: CreationOptional<NonNullable<CoreEntry['container']> | null>
  declare brings: CreationOptional<Brought | null>
  declare twoBath: CreationOptional<BathPlace | null>
  declare test: CreationOptional<TestMark | null>
  declare otherBottleId: CreationOptional<string | null>
  declare proofId: CreationOptional<string | null>
  declare groupId: CreationOptional<string | null>
  declare step: CreationOptional<number | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const bottleEntryTable = table(BottleEntry, 'bottle_entry', {
  id: key(),
  bottleId: of('bottle'),
  kind: text(),
  at: instant(),
  writtenAt: usually(instant(), fn('now')),
  byPerson: optional(of('person')),
  ml: amount(),
  throughput: usually(json(), []),
  waterInMl: usually(amount(), 0),
  runId: optional(of('run')),
  reverses: optional(of('bottle_entry')),
  note: usually(text(), ''),
  seq: counted('bigint'),
  celsius: optional(amount()),
  container: optional(text()),
  brings: optional(json()),
  twoBath: optional(json()),
  test: optional(json()),
  otherBottleId: optional(of('bottle')),
  proofId: optional(of('proof')),
  groupId: optional(uuidOf()),
  step: optional(whole()),
})
