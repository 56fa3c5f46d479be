import { Umzug, SequelizeStorage } from 'umzug'
import { oneAtATime } from '../house/queries'
import type { Database } from '../table/database'
import { migrations } from './migrations'
import type { Migration } from './migrations/migration'

/** Stands behind the name of a migration after which older servers would write what is wrong. */
const breakingMark = ' breaking'
const nameOf = ({ name, breaking = false }: Pick<Migration, 'name' | 'breaking'>): string => (breaking ? `${name}${breakingMark}` : name)

/** The schema is of a newer version than this server can work with. */
export class TooNew extends Error {}

/** Refuses a schema that a newer server has changed so that this one would do harm. */
export async function requireKnownSchema(db: Database): Promise<void> {
  const mine = new Set(migrations.map(nameOf))
  const done = await storageOf(db).executed()
  const newer = done.find((name) => !mine.has(name) && name.endsWith(breakingMark))
  if (newer !== undefined)
    throw new TooNew(
      `This database was brought up to date by a newer Selvrin (${newer.slice(0, -breakingMark.length)}), and this one would write into it what is wrong. Start the newer one.`,
    )
}

const storageOf = (db: Database) => new SequelizeStorage({ sequelize: db.sequelize, tableName: 'migration' })

const umzugFor = (db: Database) =>
  new Umzug({
    migrations: migrations.map(({ up, down, ...one }) => ({
      name: nameOf(one),
      up: () => db.transaction(() => db.sequelize.query(up, { raw: true })),
      down: () => db.transaction(() => db.sequelize.query(down, { raw: true })),
    })),
    storage: storageOf(db),
    logger: undefined,
  })

/** Runs work while no other process migrates or loads first data. The lock has a transaction to itself: the work is not inside it, which would hold what migrations wait for. */
export async function alone<T>(db: Database, work: () => Promise<T>): Promise<T> {
  let let_go: () => void = () => undefined
  const worked = new Promise<void>((resolve) => (let_go = resolve))
  const held = new Promise<void>((resolve, reject) => {
    db.transaction(async () => {
      await oneAtATime(db, 'migrations')
      resolve()
      await worked
    }).catch(reject)
  })
  await held
  try {
    return await work()
  } finally {
    let_go()
  }
}

/** Brings the schema up to date; answers the names of the migrations it ran. */
export const migrateUp = async (db: Database): Promise<string[]> => (await umzugFor(db).up()).map((migration) => migration.name)

/** Takes every migration back, newest first. */
export const migrateDown = async (db: Database): Promise<void> => void (await umzugFor(db).down({ to: 0 }))
