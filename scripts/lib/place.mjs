import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { mkdirSync, realpathSync } from 'node:fs'
import { homedir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { step } from './say.mjs'

/** The clone this script belongs to. */
export const root = realpathSync(join(dirname(fileURLToPath(import.meta.url)), '../..'))

export const isRoot = process.getuid?.() === 0

const rootsFolder = '/var/lib/selvrin'
/** Said once, however often the folder is asked for. */
let said = false

/** Whether PostgreSQL's own user, as whom it runs for root, can come to a folder. */
function postgresReaches(folder) {
  const uid = spawnSync('id', ['-u', 'postgres'], { encoding: 'utf8' }).stdout?.trim()
  if (!uid) return true
  return spawnSync('test', ['-x', folder], { uid: Number(uid), gid: Number(uid) }).status === 0
}

/** Where this clone keeps its data: two clones never meet. As root never under a folder that PostgreSQL's own user cannot reach. */
export function stateFolder() {
  const clone = createHash('sha256').update(root).digest('hex').slice(0, 12)
  const make = (base) => {
    const folder = join(base, clone)
    mkdirSync(folder, { recursive: true, mode: 0o755 })
    return folder
  }
  const wanted = process.env.XDG_STATE_HOME
    ? join(process.env.XDG_STATE_HOME, 'selvrin')
    : isRoot
      ? rootsFolder
      : join(homedir(), '.local/state/selvrin')
  const folder = make(wanted)
  if (!isRoot || wanted === rootsFolder || postgresReaches(folder)) return folder
  if (!said) step(`${folder} cannot be reached by the user postgres, as whom PostgreSQL runs: the data is kept in ${rootsFolder} instead.`)
  said = true
  return make(rootsFolder)
}
