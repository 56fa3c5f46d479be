// npm run checkpoints [-- --house]: makes the sums kept beside the ledgers anew from the ledgers themselves.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { build } from './lib/build.mjs'
import { openDatabase } from './lib/database.mjs'
import { ensureDebian, needsPostgres } from './lib/install.mjs'
import { root } from './lib/place.mjs'
import { giveUp } from './lib/say.mjs'

ensureDebian([needsPostgres])
await build()
const database = await openDatabase({ house: process.argv.includes('--house') })
try {
  const done = spawnSync('node', [join(root, 'server/dist/main.mjs')], {
    env: { ...process.env, DATABASE_URL: database.url, SELVRIN_CHECKPOINTS: '1' },
    stdio: 'inherit',
  })
  if (done.status !== 0) giveUp('The checkpoints could not be made: see above. Nothing was changed.')
  console.log('Every checkpoint is made anew from its ledger.')
} finally {
  database.close()
}
