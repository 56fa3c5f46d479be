// npm start: installs what is missing, starts PostgreSQL, builds, migrates, loads the demo, serves. Options: --fresh --demo --house.
import { spawn } from 'node:child_process'
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensureDebian, ensureModules, needsPostgres, requireNode } from './lib/install.mjs'
import { root, stateFolder } from './lib/place.mjs'
import { giveUp, step } from './lib/say.mjs'

requireNode()
const known = ['--fresh', '--demo', '--house']
const flags = process.argv.slice(2)
const unknown = flags.find((flag) => !known.includes(flag))
if (unknown) giveUp(`“${unknown}” is not an option. There are ${known.join(', ')}.`)
const asked = (flag) => flags.includes(flag)
if (asked('--house') && (asked('--demo') || asked('--fresh')))
  giveUp('--house goes with neither --demo nor --fresh: a house database is never reset and holds no demo.')

const folder = stateFolder()
const lockFile = join(folder, 'running.json')

/** What is running for this clone already, if its process still lives. */
function running() {
  if (!existsSync(lockFile)) return null
  try {
    const lock = JSON.parse(readFileSync(lockFile, 'utf8'))
    return readFileSync(`/proc/${lock.pid}/cmdline`, 'utf8').includes('start.mjs') ? lock : null
  } catch {
    return null
  }
}

const other = running()
if (other) {
  console.log(
    `\nSelvrin runs already for this clone (process ${other.pid}), at http://${other.host}:${other.port}. Stop that one first with Ctrl-C.\n`,
  )
  process.exit(0)
}

const external = process.env.DATABASE_URL
ensureDebian(external ? [] : [needsPostgres])
ensureModules()
const host = process.env.HOST ?? '127.0.0.1'
const port = process.env.PORT ?? '4780'
writeFileSync(lockFile, JSON.stringify({ pid: process.pid, host, port }))

let postgres
let devices
let server
let stopping = false
function stop(code) {
  if (stopping) return
  stopping = true
  devices?.stop()
  postgres?.stop()
  rmSync(lockFile, { force: true })
  process.exit(code)
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    if (server && server.exitCode === null) server.kill('SIGTERM')
    else stop(130)
  })

try {
  const { build } = await import('./lib/build.mjs')
  const { ensureDatabase, startPostgres } = await import('./lib/postgres.mjs')
  await build()
  const kind = asked('--house') || (external && !asked('--demo')) ? 'house' : 'demo'
  let url = external
  if (!external) {
    step('starting PostgreSQL …')
    postgres = await startPostgres(folder)
    url = ensureDatabase(postgres.url, kind === 'house' ? 'selvrin_house' : 'selvrin_demo')
  }
  if (kind === 'demo') {
    const { startDevices } = await import('../devices/start.mjs')
    step('switching on the simulated scale, thermometer and pH meter …')
    devices = await startDevices().catch((error) => {
      step(`${error.message} The demo works without: weights are typed.`)
      return undefined
    })
  }
  step('opening the darkroom …')
  server = spawn(process.execPath, ['--enable-source-maps', join(root, 'server/dist/main.mjs')], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: url,
      HOST: host,
      PORT: port,
      WEB_DIR: join(root, 'web/dist'),
      SELVRIN_KIND: kind,
      SELVRIN_STRICT: asked('--demo') || asked('--house') ? '1' : '0',
      SELVRIN_FRESH: asked('--fresh') ? '1' : '0',
      ...devices?.env,
    },
  })
  server.on('exit', (code) => stop(code ?? 0))
} catch (error) {
  console.error(error)
  stop(2)
}
