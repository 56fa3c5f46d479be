// npm run backup -- FILE [--house]: writes the database into one file. It works while the application runs.
import { ensureDebian, needsPostgres } from './lib/install.mjs'
import { postgresTool } from './lib/postgres.mjs'
import { withDatabase } from './lib/database.mjs'
import { giveUp } from './lib/say.mjs'

ensureDebian([needsPostgres])
await withDatabase((url, file) => {
  const done = postgresTool('pg_dump', ['--format=custom', '--no-owner', `--file=${file}`, url])
  if (done.status !== 0) giveUp('The backup failed: see above. Nothing was changed.')
  console.log(`The darkroom is in ${file}. Keep a copy on another machine.`)
})
