// npm run restore -- FILE [--house]: puts a backup into an empty database. One that holds a darkroom is never overwritten.
// After a loss: npm run restore -- FILE --house, then npm start -- --house.
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { openDatabase, ownDatabase } from './lib/database.mjs'
import { ensureDebian, needsPostgres } from './lib/install.mjs'
import { ask, moveAside, postgresTool } from './lib/postgres.mjs'
import { giveUp } from './lib/say.mjs'

const words = process.argv.slice(2)
const house = words.includes('--house')
const files = words.filter((word) => !word.startsWith('--'))
if (files.length !== 1) giveUp('Name one file, such as: npm run restore -- darkroom.backup --house')
const file = resolve(process.env.INIT_CWD ?? '.', files[0])
if (!existsSync(file)) giveUp(`There is no file ${file}.`)

ensureDebian([needsPostgres])
if (postgresTool('pg_restore', ['--list', file], { stdio: 'ignore' }).status !== 0)
  giveUp(`${file} is no backup that can be read. Nothing was touched.`)
const database = await openDatabase({ house })
try {
  const tables = ask(database.url, `select count(*) from pg_tables where schemaname = 'public'`)
  if (tables === null) giveUp('The database does not answer: see above. Nothing was touched.')
  if (tables !== '0') {
    // a house that was only just begun, with nobody in it, has nothing to lose: it steps aside
    const people = ask(database.url, 'select count(*) from person')
    if (!database.own || people !== '0')
      giveUp(
        'This database holds something already, so nothing was written over it.',
        database.own
          ? `If it is to be replaced: npm run backup -- FILE${house ? ' --house' : ''} first, then npm run restore -- ${files[0]}${house ? ' --house' : ''} in a fresh clone.`
          : 'Name an empty one: DATABASE_URL=postgres://… npm run restore -- FILE',
      )
    const aside = moveAside(database.server, ownDatabase(house))
    if (aside === null) giveUp('The empty house is in use: stop it with Ctrl-C first. Nothing was touched.')
    console.log(`· the empty house that was there is now ${aside}`)
  }
  const done = postgresTool('pg_restore', ['--no-owner', '--single-transaction', '--exit-on-error', '--dbname=', file], {
    url: database.url,
  })
  if (done.status !== 0) giveUp('The backup cannot be put back: see above. The database is as empty as before.')
  const kind = ask(database.url, 'select kind from darkroom')
  if (database.own && kind !== (house ? 'house' : 'demo')) {
    ask(database.url, 'drop schema public cascade; create schema public;')
    giveUp(
      `${file} holds a ${kind}, and this is the place of the ${house ? 'house' : 'demo'}: nothing of it was kept.`,
      `Say ${house ? 'it without --house' : 'it with --house'}.`,
    )
  }
  // whoever was signed in then is not now: sessions and codes of a copy are nobody's
  ask(database.url, 'delete from session; delete from one_time_code; delete from sign_in_attempt; delete from idempotency;')
  console.log(`${file} is back. Everyone signs in again. Start with npm start${house ? ' -- --house' : ''}.`)
} finally {
  database.close()
}
