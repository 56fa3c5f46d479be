import { Umzug, SequelizeStorage } from 'umzug'
import { oneAtATime } from '../house/queries'
import type { Database } from '../table/database'
import { migrations } from './migrations'

const umzugFor = (db: Database) =>
  new Umzug({
    migrations: migrations.map(({ name, up, down }) => ({
      name,
      up: () => db.transaction(() => db.sequelize.query(up, { raw: true })),
      down: () => db.transaction(() => db.sequelize.query(down, { raw: true })),
    })),
    storage: new SequelizeStorage({ sequelize: db.sequelize, tableName: 'migration' }),
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
