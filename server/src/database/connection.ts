import { AsyncLocalStorage } from 'node:async_hooks'
import pg from 'pg'
import { DataTypes, Sequelize, type Transaction } from 'sequelize'
import type { Database } from '../table/database'
import { modelsOf } from './models'
import { sendBehind, together, transactionsOf, type Begun, type Connections } from './transaction'

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

interface Prepared {
  name: string
  text: string
  /** names of the parameters in the order of their numbers */
  names: string[]
}
const prepared = new Map<string, Prepared>()
/** A statement with its named parameters numbered, under a name of its own: a connection takes it apart and plans it once. */
function preparedOf(sql: string): Prepared {
  const known = prepared.get(sql)
  if (known) return known
  const names = [...new Set([...sql.matchAll(/\$([a-z]\w*)/gi)].map(([, name]) => name as string))]
  const text = sql.replace(/\$([a-z]\w*)/gi, (_, name: string) => `$${names.indexOf(name) + 1}`)
  const made = { name: `s${prepared.size + 1}`, text, names }
  prepared.set(sql, made)
  return made
}

/** A pool of connections to the database at that URL. */
export function connect(url: string): Database {
  let count = 0
  const ends: (() => Promise<void>)[] = []
  /** The transaction a piece of work runs in: every statement of it goes there, so that none waits for a second connection while it holds the first. */
  const inside = new AsyncLocalStorage<Begun>()
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: () => void count++,
    pool: { max: 20, acquire: 30_000 },
  })
  // statements here are short and many: planning and compiling one anew each time, as it is guessed costly over a long history, takes longer than running it
  sequelize.addHook('afterConnect', async (connection: unknown) => {
    const client = connection as pg.Client & { pipeline: boolean }
    await client.query('set jit = off; set plan_cache_mode = force_generic_plan')
    // what is said next need not wait for the answer to what was said before
    client.pipeline = true
  })
  const send = sequelize.query.bind(sequelize) as (sql: unknown, options?: object) => Promise<unknown>
  sequelize.query = ((sql: unknown, options: { transaction?: Transaction | null } = {}) =>
    send(sql, { ...options, transaction: options.transaction ?? inside.getStore() ?? null })) as never
  const { connectionManager } = sequelize as unknown as { connectionManager: Connections }
  const statement = (sql: string, bind: object) => {
    count++
    const { name, text, names } = preparedOf(sql)
    return { name, text, values: names.map((one) => (bind as Record<string, unknown>)[one]) }
  }
  const query = async <T extends object>(sql: string, bind: object = {}): Promise<T[]> => {
    const asked = statement(sql, bind)
    const tx = inside.getStore()
    if (tx) return (await together(tx.connection, () => tx.connection.query(asked))).rows as T[]
    const client = await connectionManager.getConnection()
    try {
      return (await client.query(asked)).rows as T[]
    } finally {
      connectionManager.releaseConnection(client)
    }
  }
  return {
    ...modelsOf(sequelize),
    sequelize,
    url,
    statements: () => count,
    query,
    write: async (sql, bind) => {
      const tx = inside.getStore()
      if (tx)
        sendBehind(
          tx,
          together(tx.connection, () => tx.connection.query(statement(sql, bind))),
        )
      else await query(sql, bind)
    },
    transaction: transactionsOf(sequelize, connectionManager, (tx, work) => inside.run(tx, work)),
    beforeClose: (end) => void ends.push(end),
    close: async () => {
      await Promise.all(ends.map((end) => end()))
      await sequelize.close()
    },
  }
}
