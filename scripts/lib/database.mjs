import { resolve } from 'node:path'
import { stateFolder } from './place.mjs'
import { ensureDatabase, startPostgres } from './postgres.mjs'
import { giveUp } from './say.mjs'

/** Runs work on the database meant, DATABASE_URL or this clone's own demo or house, and the one file named on the command line, where one is needed. */
export async function withDatabase(work, { needsFile = true } = {}) {
  const files = process.argv.slice(2).filter((arg) => !arg.startsWith('--'))
  if (needsFile && files.length !== 1) giveUp('Name one file, such as: npm run backup -- darkroom.backup')
  const file = needsFile ? resolve(process.env.INIT_CWD ?? '.', files[0]) : ''
  if (process.env.DATABASE_URL) return work(process.env.DATABASE_URL, file)
  const postgres = await startPostgres(stateFolder())
  const { wasRunning } = postgres
  try {
    work(ensureDatabase(postgres.url, process.argv.includes('--house') ? 'selvrin_house' : 'selvrin_demo'), file)
  } finally {
    if (!wasRunning) postgres.stop()
  }
}
