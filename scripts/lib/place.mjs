import { createHash } from 'node:crypto'
import { mkdirSync, realpathSync } from 'node:fs'
import { homedir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The clone this script belongs to. */
export const root = realpathSync(join(dirname(fileURLToPath(import.meta.url)), '../..'))

export const isRoot = process.getuid?.() === 0

/** Where this clone keeps its data: two clones never meet. */
export function stateFolder() {
  const base = process.env.XDG_STATE_HOME
    ? join(process.env.XDG_STATE_HOME, 'selvrin')
    : isRoot
      ? '/var/lib/selvrin'
      : join(homedir(), '.local/state/selvrin')
  const folder = join(base, createHash('sha256').update(root).digest('hex').slice(0, 12))
  mkdirSync(folder, { recursive: true, mode: 0o755 })
  return folder
}
