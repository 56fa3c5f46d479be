// npm start: installs what is missing, starts PostgreSQL, builds, migrates, loads the demo, serves, and begins the server again when it dies. Options: --fresh --demo --house.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ensureDebian, ensureModules, needsPostgres, requireNode } from './lib/install.mjs'
import { root, stateFolder } from './lib/place.mjs'
import { forget, leftPostgres, note, running, takeOver } from './lib/running.mjs'
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
const other = running()
if (other && !other.orphan) {
  console.log(
    `\nSelvrin runs already for this clone (process ${other.pid}), at http://${other.host}:${other.port}. Stop that one first with Ctrl-C.\n`,
  )
  process.exit(0)
}
if (other && !(await takeOver(other)))
  giveUp(
    `A server of this clone (process ${other.serverPid}) still runs at http://${other.host}:${other.port} and cannot be stopped by you.`,
    'Stop it as the user who started it.',
  )

const external = process.env.DATABASE_URL
ensureDebian(external ? [] : [needsPostgres])
ensureModules()
const host = process.env.HOST ?? '127.0.0.1'
const port = process.env.PORT ?? '4780'
const lock = { pid: process.pid, serverPid: 0, host, port, postgres: leftPostgres() }
note(lock)

/** the database is stopped by whoever started it; what a killed start of this clone left behind is taken over with it */
let ownsPostgres = lock.postgres
let postgres
let devices
let server
let stopping = false
/** a server that dies this soon after it began is not begun again for ever */
const soonMs = 20_000
const mostSoon = 5
const longestWaitMs = 30_000

/** Ends in order: the server, the devices, and PostgreSQL where it was started here. */
function stop(code) {
  if (stopping) return
  stopping = true
  devices?.stop()
  if (postgres && ownsPostgres) postgres.stop()
  forget()
  process.exit(code)
}
let ending = false
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    ending = true
    if (server && server.exitCode === null && server.signalCode === null) server.kill('SIGTERM')
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
    ownsPostgres ||= !postgres.wasRunning
    lock.postgres = ownsPostgres
    note(lock)
    url = ensureDatabase(postgres.url, kind === 'house' ? 'selvrin_house' : 'selvrin_demo')
  }
  if (kind === 'demo') {
    const { startDevices } = await import('../devices/start.mjs')
    step('switching on the simulated scale, thermometer, pH meter and mail server …')
    devices = await startDevices().catch((error) => {
      step(`${error.message} The demo works without: weights are typed.`)
      return undefined
    })
    if (devices) step(`what the demo writes to people is kept at http://127.0.0.1:${devices.pages.post}`)
  }
  step('opening the darkroom …')
  let soon = 0
  const serve = (fresh) => {
    const began = Date.now()
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
        // erased once, not each time the server is begun again
        SELVRIN_FRESH: fresh ? '1' : '0',
        ...devices?.env,
      },
    })
    note({ ...lock, serverPid: server.pid ?? 0 })
    server.on('exit', (code, signal) => {
      // what it says itself is final: a wrong kind, a port that is taken
      if (ending || code === 0 || code === 2) return stop(code ?? 0)
      soon = Date.now() - began < soonMs ? soon + 1 : 0
      if (soon >= mostSoon) {
        console.error(`The server died ${mostSoon} times right after it began: see its words above.`)
        return stop(1)
      }
      const waitMs = Math.min(longestWaitMs, 500 * 2 ** soon)
      step(`the server died (${signal ?? `code ${code}`}); beginning it again …`)
      setTimeout(() => (ending ? stop(130) : serve(false)), waitMs)
    })
  }
  serve(asked('--fresh'))
} catch (error) {
  console.error(error)
  stop(2)
}
