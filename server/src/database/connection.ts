import { AsyncLocalStorage } from 'node:async_hooks'
import pg from 'pg'
import { DataTypes, QueryTypes, Sequelize, type Transaction } from 'sequelize'

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

export interface Database {
  sequelize: Sequelize
  url: string
  /** statements sent so far; tests assert that lists need a constant number */
  statements: () => number
  rows: <T extends object>(sql: string, bind?: unknown[], tx?: Transaction) => Promise<T[]>
  one: <T extends object>(sql: string, bind?: unknown[], tx?: Transaction) => Promise<T | undefined>
  run: (sql: string, bind?: unknown[], tx?: Transaction) => Promise<void>
  transaction: <T>(work: (tx: Transaction) => Promise<T>) => Promise<T>
  /** something that ends with it */
  beforeClose: (end: () => Promise<void>) => void
  close: () => Promise<void>
}

/** The transaction a piece of work runs in: every statement of it goes there, so that none waits for a second connection while it holds the first. */
const inside = new AsyncLocalStorage<Transaction>()

/** A pool of connections to the database at that URL. */
export function connect(url: string): Database {
  let count = 0
  const ends: (() => Promise<void>)[] = []
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: () => void count++,
    pool: { max: 20, acquire: 30_000 },
  })
  // statements here are short and many: compiling one anew each time, as it is guessed costly over a long history, takes longer than running it
  sequelize.addHook('afterConnect', (connection: unknown) => (connection as pg.Client).query('set jit = off').then(() => undefined))
  // parameters of our own statements only: the driver binds them, nothing is pasted into SQL
  const within = (tx?: Transaction) => {
    const mine = tx ?? inside.getStore()
    return mine ? { transaction: mine } : {}
  }
  const query = (sql: string, bind: unknown[] = [], tx?: Transaction) =>
    sequelize.query(sql, { type: QueryTypes.SELECT, bind, raw: true, ...within(tx) })
  return {
    sequelize,
    url,
    statements: () => count,
    rows: async (sql, bind, tx) => (await query(sql, bind, tx)) as never,
    one: async (sql, bind, tx) => (await query(sql, bind, tx))[0] as never,
    run: async (sql, bind = [], tx) => void (await sequelize.query(sql, { bind, raw: true, ...within(tx) })),
    transaction: (work) => sequelize.transaction((tx) => inside.run(tx, () => work(tx))),
    beforeClose: (end) => void ends.push(end),
    close: async () => {
      await Promise.all(ends.map((end) => end()))
      await sequelize.close()
    },
  }
}
