// npm run restore -- FILE [--house]: puts a backup into an empty database. One that holds anything is never overwritten.
import { existsSync } from 'node:fs'
import { ensureDebian, needsPostgres } from './lib/install.mjs'
import { postgresTool } from './lib/postgres.mjs'
import { withDatabase } from './lib/database.mjs'
import { giveUp } from './lib/say.mjs'

ensureDebian([needsPostgres])
await withDatabase((url, file) => {
  if (!existsSync(file)) giveUp(`There is no file ${file}.`)
  const held = postgresTool('psql', ['-qAtX', '-d', url, '-c', `select count(*) from pg_tables where schemaname = 'public'`], {
    stdio: ['ignore', 'pipe', 'inherit'],
    encoding: 'utf8',
  })
  if (held.stdout?.trim() !== '0')
    giveUp(
      'This database holds something already, so nothing was written over it.',
      'Name an empty one: DATABASE_URL=postgres://… npm run restore -- FILE',
    )
  const done = postgresTool('pg_restore', ['--no-owner', '--single-transaction', '--exit-on-error', '-d', url, file])
  if (done.status !== 0) giveUp('The backup cannot be read: see above. The database is as empty as before.')
  console.log(`${file} is back. Start with npm start.`)
})
