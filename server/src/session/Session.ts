import { Model, type NonAttribute, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, keyed, of, text } from '../table/columns'
import type { Row } from '../table/database'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    Session: ModelStatic<Session>
  }
}

export class Session extends Model<InferAttributes<Session>, InferCreationAttributes<Session>> {
  declare tokenHash: string
  declare personId: string
  declare createdAt: number
  declare expiresAt: number
  declare seenAt: number
  declare person?: NonAttribute<Row<'Person'>>
}

export const sessionTable = table(Session, 'session', {
  tokenHash: keyed(text()),
  personId: of('person'),
  createdAt: instant(),
  expiresAt: instant(),
  seenAt: instant(),
})
