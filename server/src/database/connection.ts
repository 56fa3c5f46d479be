import pg from 'pg'
import { QueryTypes, Sequelize, type Transaction } from 'sequelize'

const oid = { numeric: 1700, bigint: 20, timestamptz: 1184, numericArray: 1231 }

/** The one place where what PostgreSQL sends becomes numbers: amounts, counts, and times in ms. */
function readNumbers(): void {
  const asDate = pg.types.getTypeParser(oid.timestamptz) as (text: string) => Date
  const asArray = pg.types.getTypeParser(oid.numericArray) as (text: string) => number[]
  pg.types.setTypeParser(oid.numeric, Number)
  pg.types.setTypeParser(oid.bigint, Number)
  pg.types.setTypeParser(oid.timestamptz, (text: string) => asDate(text).getTime())
  pg.types.setTypeParser(oid.numericArray, (text: string) => asArray(text)?.map(Number))
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
  close: () => Promise<void>
}

/** A pool of connections to the database at that URL. */
export function connect(url: string): Database {
  let count = 0
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: () => void count++,
    pool: { max: 20, acquire: 30_000 },
  })
  // parameters of our own statements only: the driver binds them, nothing is pasted into SQL
  const query = (sql: string, bind: unknown[] = [], tx?: Transaction) =>
    sequelize.query(sql, { type: QueryTypes.SELECT, bind, raw: true, ...(tx ? { transaction: tx } : {}) })
  return {
    sequelize,
    url,
    statements: () => count,
    rows: async (sql, bind, tx) => (await query(sql, bind, tx)) as never,
    one: async (sql, bind, tx) => (await query(sql, bind, tx))[0] as never,
    run: async (sql, bind = [], tx) => void (await sequelize.query(sql, { bind, raw: true, ...(tx ? { transaction: tx } : {}) })),
    transaction: (work) => sequelize.transaction(work),
    close: () => sequelize.close(),
  }
}
