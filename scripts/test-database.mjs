// node scripts/test-database.mjs: a throwaway PostgreSQL for running single tests; Ctrl-C ends it.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureDebian, needsPostgres } from './lib/install.mjs'
import { startPostgres } from './lib/postgres.mjs'

ensureDebian([needsPostgres])
const folder = mkdtempSync(join(tmpdir(), 'selvrin-test-'))
chmodSync(folder, 0o755)
const postgres = await startPostgres(folder, { throwaway: true })
console.log(`TEST_DATABASE_URL=${postgres.url}`)
const stay = setInterval(() => undefined, 60_000)
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    clearInterval(stay)
    postgres.stop()
    rmSync(folder, { recursive: true, force: true })
    process.exit(0)
  })
