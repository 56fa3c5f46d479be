import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type NonAttribute,
} from 'sequelize'
import { instant, key, of, optional, text } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    WallKey: ModelStatic<WallKey>
  }
}

/** A key that opens the page of a screen on the wall; only what its token comes to is kept. */
export class WallKey extends Model<InferAttributes<WallKey>, InferCreationAttributes<WallKey>> {
  declare id: string
  declare name: string
  declare tokenHash: string
  declare byPerson: CreationOptional<string | null>
  declare at: number
  declare revokedAt: CreationOptional<number | null>
  declare by?: NonAttribute<Row<'Person'> | null>
}

export const wallKeyTable = table(WallKey, 'wall_key', {
  id: key(),
  name: text(),
  tokenHash: text(),
  byPerson: optional(of('person')),
  at: instant(),
  revokedAt: optional(instant()),
})
