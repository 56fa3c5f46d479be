import { Umzug, SequelizeStorage } from 'umzug'
import type { Database } from './connection'
import { migrations } from './migrations'

/** Any number; it only has to be the same in every process of ours. */
const migrationLock = 5_210_701

const umzugFor = (db: Database) =>
  new Umzug({
    migrations: migrations.map(({ name, up, down }) => ({
      name,
      up: () => db.transaction((tx) => db.sequelize.query(up, { transaction: tx, raw: true })),
      down: () => db.transaction((tx) => db.sequelize.query(down, { transaction: tx, raw: true })),
    })),
    storage: new SequelizeStorage({ sequelize: db.sequelize, tableName: 'migration' }),
    logger: undefined,
  })

/** Runs work while no other process migrates or loads first data. The lock has a connection to itself: the work is not inside its transaction, which would hold what migrations wait for. */
export const alone = <T>(db: Database, work: () => Promise<T>): Promise<T> =>
  db.sequelize.transaction(async (tx) => {
    await db.run('select pg_advisory_xact_lock($1::bigint)', [migrationLock], tx)
    return work()
  })

/** Brings the schema up to date; answers the names of the migrations it ran. */
export const migrateUp = async (db: Database): Promise<string[]> => (await umzugFor(db).up()).map((migration) => migration.name)

/** Takes every migration back, newest first. */
export const migrateDown = async (db: Database): Promise<void> => void (await umzugFor(db).down({ to: 0 }))
