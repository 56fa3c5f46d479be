// npm run backup -- FILE [--house]: writes the database into one file. It works while the application runs.
// npm run backup -- --every 1d --keep 14 FOLDER [--house]: writes one now and again and again, and keeps the newest.
import { mkdirSync, readdirSync, rmSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { healthIn, writeBackup } from './lib/backup.mjs'
import { openDatabase } from './lib/database.mjs'
import { ensureDebian, needsPostgres } from './lib/install.mjs'
import { giveUp } from './lib/say.mjs'

const usage = 'Name one file, such as: npm run backup -- darkroom.backup; or a folder: npm run backup -- --every 1d --keep 14 FOLDER'
const units = { m: 60_000, h: 3_600_000, d: 86_400_000 }
/** no timer of this platform waits longer */
const longestWait = 24 * 86_400_000

const words = process.argv.slice(2)
/** Takes an option and its value off the words; undefined where it is not there. */
function option(name) {
  const at = words.indexOf(name)
  if (at === -1) return undefined
  const [, value] = words.splice(at, 2)
  return value ?? ''
}
const every = option('--every')
const keepText = option('--keep')
const house = words.includes('--house')
const unknown = words.find((word) => word.startsWith('--') && word !== '--house')
const paths = words.filter((word) => !word.startsWith('--'))
if (unknown) giveUp(`“${unknown}” is not an option. There are --house, --every and --keep.`)
if (paths.length !== 1 || (every === undefined && keepText !== undefined)) giveUp(usage)
const target = resolve(process.env.INIT_CWD ?? '.', paths[0])
const span = /^(\d{1,3})([mhd])$/.exec(every ?? '1d')
const everyMs = span ? Number(span[1]) * units[span[2]] : NaN
if (!(everyMs > 0 && everyMs <= longestWait)) giveUp(`“${every}” is no span of time. Write 30m, 6h or 1d; at most 24d.`)
const keep = Number(keepText ?? 14)
if (!Number.isInteger(keep) || keep < 1) giveUp(`“${keepText}” is no number of backups to keep. Write 1 or more.`)

ensureDebian([needsPostgres])
if (every === undefined) {
  const said = await once(target)
  if (said !== null) giveUp(...said)
  console.log(`The darkroom is in ${target}. Keep a copy on another machine.`)
} else await again()

/** One backup; null when it is there, else what to say. */
async function once(file) {
  const database = await openDatabase({ house, make: false })
  try {
    if (database.url === null) return [`There is no ${house ? 'house' : 'demo'} of this clone yet, so there is nothing to back up.`]
    const said = writeBackup(database.url, file)
    const health = said === null ? healthIn(database.url) : null
    if (health !== null) console.log(health)
    return said
  } finally {
    database.close()
  }
}

async function again() {
  try {
    mkdirSync(target, { recursive: true, mode: 0o700 })
  } catch (error) {
    giveUp(`The folder ${target} cannot be made: ${error.message}`)
  }
  console.log(`A backup every ${every} into ${target}, the newest ${keep} kept. Ctrl-C ends it.`)
  for (;;) {
    const file = join(target, `darkroom-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}.backup`)
    const said = await once(file)
    if (said) console.error([...said, `Trying again in ${every}.`].join('\n'))
    else {
      console.log(`· ${file}`)
      const older = readdirSync(target)
        .filter((name) => /^darkroom-[\d-]+T[\d-]+\.backup$/.test(name))
        .sort()
        .slice(0, -keep)
      for (const name of older) rmSync(join(target, name), { force: true })
    }
    await new Promise((done) => setTimeout(done, everyMs))
  }
}
