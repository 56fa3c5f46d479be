import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { isRoot, root } from './place.mjs'
import { giveUp, step } from './say.mjs'

const leastNode = [20, 19]

export function requireNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  if (major < leastNode[0] || (major === leastNode[0] && minor < leastNode[1]))
    giveUp(`Node.js ${leastNode.join('.')} or newer is needed; this is ${process.versions.node}.`, 'Install a newer Node.js and try again.')
}

/** The packages of package-lock.json, installed when they are not, or not in that state. */
export function ensureModules() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const stamp = join(root, 'node_modules/.selvrin-lock')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  step('installing packages (npm ci) …')
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
  })
  if (done.status !== 0) giveUp('npm ci failed: see its words above. Check the network and try again.')
  writeFileSync(stamp, lock)
}

/** Folder with PostgreSQL's programs: PG_BIN, else the newest of Debian's; null when there is none. */
export function postgresBin() {
  if (process.env.PG_BIN) return process.env.PG_BIN
  const base = '/usr/lib/postgresql'
  const versions = existsSync(base) ? readdirSync(base).filter((name) => existsSync(join(base, name, 'bin/initdb'))) : []
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0]
  return newest ? join(base, newest, 'bin') : null
}

/** The browser of the end-to-end tests: CHROMIUM, else Debian's; null when there is none. */
export const chromium = () => [process.env.CHROMIUM, '/usr/bin/chromium'].find((path) => path && existsSync(path)) ?? null

/** Installs Debian's packages as root; otherwise prints the one line that does it, and stops. */
export function ensureDebian(needs) {
  const missing = needs.filter(({ there }) => !there()).map(({ name }) => name)
  if (missing.length === 0) return
  const line = `sudo apt-get install -y ${missing.join(' ')}`
  if (!isRoot || !existsSync('/usr/bin/apt-get'))
    giveUp(`Missing on this machine: ${missing.join(', ')}. Install with`, '', `  ${line}`, '', 'and try again.')
  step(`installing ${missing.join(', ')} from Debian's packages …`)
  const apt = (...args) =>
    spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
  apt('update', '-q')
  apt('install', '-y', '-q', '--no-install-recommends', ...missing)
  const still = needs.filter(({ there }) => !there()).map(({ name }) => name)
  if (still.length > 0) giveUp(`apt-get could not install ${still.join(', ')}: see its words above.`)
}

export const needsPostgres = { name: 'postgresql', there: () => postgresBin() !== null }
export const needsChromium = { name: 'chromium', there: () => chromium() !== null }
