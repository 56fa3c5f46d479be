import { AsyncLocalStorage } from 'node:async_hooks'
import pg from 'pg'
import { DataTypes, QueryTypes, Sequelize, type Transaction } from 'sequelize'
import type { Database } from '../table/database'
import { modelsOf } from './models'

const timestamptz = 1184
const bigint = 20

/** The one place where what PostgreSQL sends becomes numbers: amounts, counts, and times in ms. */
function readNumbers(): void {
  const asDate = pg.types.getTypeParser(timestamptz) as (text: string) => Date
  pg.types.setTypeParser(bigint, Number)
  pg.types.setTypeParser(timestamptz, (text: string) => asDate(text).getTime())
  // Sequelize reads numeric, and arrays of it, through its own type
  const { postgres } = DataTypes as unknown as { postgres: { DECIMAL: { parse: (text: string) => unknown } } }
  postgres.DECIMAL.parse = Number
}
readNumbers()

/** A pool of connections to the database at that URL. */
export function connect(url: string): Database {
  let count = 0
  const ends: (() => Promise<void>)[] = []
  /** The transaction a piece of work runs in: every statement of it goes there, so that none waits for a second connection while it holds the first. */
  const inside = new AsyncLocalStorage<Transaction>()
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: () => void count++,
    pool: { max: 20, acquire: 30_000 },
  })
  // statements here are short and many: compiling one anew each time, as it is guessed costly over a long history, takes longer than running it
  sequelize.addHook('afterConnect', (connection: unknown) => (connection as pg.Client).query('set jit = off').then(() => undefined))
  const send = sequelize.query.bind(sequelize) as (sql: unknown, options?: object) => Promise<unknown>
  sequelize.query = ((sql: unknown, options: { transaction?: Transaction | null } = {}) =>
    send(sql, { ...options, transaction: options.transaction ?? inside.getStore() ?? null })) as never
  return {
    ...modelsOf(sequelize),
    sequelize,
    url,
    statements: () => count,
    query: async <T extends object>(sql: string, bind: object = {}) =>
      (await sequelize.query(sql, { type: QueryTypes.SELECT, raw: true, bind: bind as Record<string, unknown> })) as T[],
    transaction: (work) => sequelize.transaction((tx) => inside.run(tx, work)),
    beforeClose: (end) => void ends.push(end),
    close: async () => {
      await Promise.all(ends.map((end) => end()))
      await sequelize.close()
    },
  }
}
