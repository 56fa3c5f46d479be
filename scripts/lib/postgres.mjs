import { execFileSync, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { chmodSync, chownSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { postgresBin } from './install.mjs'
import { isRoot } from './place.mjs'
import { giveUp } from './say.mjs'

/** PostgreSQL refuses to run as root: then its own user does it. */
function serverUser() {
  if (!isRoot) return {}
  const ask = (flag) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }))
  try {
    return { uid: ask('-u'), gid: ask('-g') }
  } catch {
    return giveUp('There is no user “postgres” to run PostgreSQL as.', "Install Debian's package postgresql and try again.")
  }
}

const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })

/**
 * A private PostgreSQL in `folder`, on 127.0.0.1 only, with a password: made when it is not there, started when it does not run.
 * Answers a URL without database, and a function that stops it. `throwaway` trades safety for speed, for tests.
 */
export async function startPostgres(folder, { throwaway = false } = {}) {
  const bin = postgresBin()
  const user = serverUser()
  const data = join(folder, 'postgres')
  const passwordFile = join(folder, 'password')
  const run = (program, args) => spawnSync(join(bin, program), args, { cwd: '/', encoding: 'utf8', ...user })
  const must = (program, args) => {
    const done = run(program, args)
    if (done.status !== 0)
      giveUp(`PostgreSQL's ${program} failed:`, (done.error?.message ?? '') + done.stdout + done.stderr, `Its log: ${join(data, 'log')}`)
  }
  if (!existsSync(join(data, 'PG_VERSION'))) {
    rmSync(data, { recursive: true, force: true })
    mkdirSync(data, { recursive: true, mode: 0o700 })
    writeFileSync(passwordFile, randomBytes(24).toString('hex'), { mode: 0o600 })
    if (user.uid !== undefined) for (const path of [data, passwordFile]) chownSync(path, user.uid, user.gid)
    must('initdb', [
      '-D',
      data,
      '-U',
      'selvrin',
      `--pwfile=${passwordFile}`,
      '--auth=scram-sha-256',
      '--encoding=UTF8',
      '--locale=C.UTF-8',
      ...(throwaway ? ['--no-sync'] : []),
    ])
    chmodSync(passwordFile, 0o600)
  }
  const pidFile = join(data, 'postmaster.pid')
  const running = run('pg_ctl', ['-D', data, 'status']).status === 0
  const port = running ? Number(readFileSync(pidFile, 'utf8').split('\n')[3]) : await freePort()
  if (!running) {
    const options = [
      `-p ${port}`,
      '-c listen_addresses=127.0.0.1',
      '-c unix_socket_directories=',
      '-c max_connections=120',
      ...(throwaway ? ['-c fsync=off', '-c synchronous_commit=off', '-c full_page_writes=off'] : []),
    ]
    must('pg_ctl', ['-D', data, '-w', '-s', '-l', join(data, 'log'), '-o', options.join(' '), 'start'])
  }
  const url = `postgres://selvrin:${readFileSync(passwordFile, 'utf8')}@127.0.0.1:${port}`
  return { url, wasRunning: running, stop: () => void run('pg_ctl', ['-D', data, '-w', '-s', '-m', 'fast', 'stop']) }
}

/** What a PostgreSQL program needs to reach a URL, in its environment: nothing of it stands in the list of processes. */
function reaching(url) {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url)
  const set = {
    PGHOST: decodeURIComponent(searchParams.get('host') ?? hostname),
    PGPORT: port,
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    PGSSLMODE: searchParams.get('sslmode') ?? '',
    PGCONNECT_TIMEOUT: '10',
  }
  return Object.fromEntries(Object.entries(set).filter(([, value]) => value !== ''))
}

/** Runs psql, pg_dump or pg_restore of the same PostgreSQL; `url` is the database it is to reach. */
export const postgresTool = (program, args, { url, ...options } = {}) => {
  const env = url ? { ...process.env, ...reaching(url) } : process.env
  // pg_restore writes into a database only where it is named
  const words = args.map((arg) => (arg === '--dbname=' ? `--dbname=${env.PGDATABASE}` : arg))
  return spawnSync(join(postgresBin(), program), words, { stdio: ['ignore', 'inherit', 'inherit'], ...options, env })
}

/** The one value a statement answers; null where the database does not. */
export function ask(url, sql) {
  const done = postgresTool('psql', ['-qAtX', '-v', 'ON_ERROR_STOP=1', '-c', sql], {
    url,
    stdio: ['ignore', 'pipe', 'pipe'],
    encoding: 'utf8',
  })
  if (done.status === 0) return done.stdout.trim()
  console.error(done.stderr.trim())
  return null
}

export const databaseThere = (url, name) => ask(`${url}/postgres`, `select 1 from pg_database where datname = '${name}'`) === '1'

/** The URL of that database, made when it is not there. */
export function ensureDatabase(url, name) {
  if (!databaseThere(url, name) && ask(`${url}/postgres`, `create database ${name}`) === null)
    giveUp(`The database ${name} cannot be made: see above.`)
  return `${url}/${name}`
}

/** Gives a database another name and makes an empty one in its place; null while someone is connected to it. */
export function moveAside(url, name) {
  const aside = `${name}_${new Date().toISOString().slice(0, 19).replaceAll(/[-:T]/g, '')}`
  if (ask(`${url}/postgres`, `alter database ${name} rename to ${aside}`) === null) return null
  ensureDatabase(url, name)
  return aside
}
