import { stateFolder } from './place.mjs'
import { databaseThere, ensureDatabase, startPostgres } from './postgres.mjs'

/** Names of this clone's own databases. */
export const ownDatabase = (house) => (house ? 'selvrin_house' : 'selvrin_demo')

/**
 * The database meant, DATABASE_URL or this clone's own demo or house, its PostgreSQL started where it does not run. `close` stops again what was started here,
 * also when the process gives up. `make`: an own one that is not there is made.
 */
export async function openDatabase({ house, make = true }) {
  if (process.env.DATABASE_URL) return { url: process.env.DATABASE_URL, server: null, close: () => undefined, own: false }
  const postgres = await startPostgres(stateFolder())
  let open = true
  const close = () => {
    if (open && !postgres.wasRunning) postgres.stop()
    open = false
  }
  // giving up ends the process at once: what was started goes with it
  process.on('exit', close)
  const name = ownDatabase(house)
  const url = make ? ensureDatabase(postgres.url, name) : databaseThere(postgres.url, name) ? `${postgres.url}/${name}` : null
  return { url, server: postgres.url, close, own: true }
}
