// npm run mutants -- FOLDER …: how many small changes to the code of folders of core its tests notice, with those that live.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './lib/place.mjs'

const folders = process.argv.slice(2)
const missing = folders.filter((folder) => !existsSync(join(root, 'core/src', folder)))
if (folders.length === 0 || missing.length > 0) {
  console.error(missing.length > 0 ? `There is no folder core/src/${missing[0]}.` : 'Name a folder of core, as: npm run mutants -- bottle')
  process.exit(2)
}
const mutate = folders.flatMap((folder) => [`core/src/${folder}/**/*.ts`, `!core/src/${folder}/**/*.test.ts`]).join(',')
const { status } = spawnSync('npx', ['stryker', 'run', '--mutate', mutate], { cwd: root, stdio: 'inherit' })
process.exit(status ?? 1)
