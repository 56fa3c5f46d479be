// What the measurements share: a server of some checkout as a process of its own on a database of its own, and a long history written straight into it.
import { spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { join } from 'node:path'
import pg from 'pg'

/** The server of a checkout, bundled as its start command does; answers the bundle. */
export async function bundle(root) {
  const { build } = await import('esbuild')
  const own = JSON.parse(readFileSync(join(root, 'server/package.json'), 'utf8'))
  const outfile = join(root, 'server/dist/bench.mjs')
  await build({
    // beside it, what it runs in a thread of its own
    entryPoints: { bench: join(root, 'server/src/main.ts'), 'weeks-thread': join(root, 'server/src/weeks/weeks.thread.ts') },
    outdir: join(root, 'server/dist'),
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    logLevel: 'warning',
    external: Object.keys(own.dependencies),
    alias: { '@selvrin/core/contract': join(root, 'core/src/contract/index.ts'), '@selvrin/core': join(root, 'core/src/index.ts') },
  })
  return outfile
}

/** Ways to ask at an address as whoever that cookie is. The answers are taken as they come, not unpacked or read, by as light a client as there is: it is the server that is measured. */
export function through(address, cookie) {
  const agent = new Agent({ keepAlive: true, maxSockets: 64 })
  const send = (method, path, headers, body) =>
    new Promise((resolve, reject) => {
      const asked = request(address + path, { method, agent, headers: { cookie, 'accept-encoding': 'identity', ...headers } }, (answer) => {
        const parts = []
        answer.on('data', (part) => parts.push(part))
        answer.on('end', () => {
          const bytes = Buffer.concat(parts)
          if (answer.statusCode < 400) resolve(bytes)
          else reject(new Error(`${path}: ${answer.statusCode} ${bytes}`))
        })
      })
      asked.on('error', reject)
      asked.end(body)
    })
  const take = (path) => send('GET', path, {})
  const get = async (path) => JSON.parse((await take(path)).toString())
  const put = (path, body) =>
    send('PUT', path, { 'content-type': 'application/json', 'idempotency-key': randomUUID() }, JSON.stringify(body))
  const post = (path, body) =>
    send('POST', path, { 'content-type': 'application/json', 'idempotency-key': randomUUID() }, JSON.stringify(body))
  return { take, get, post, put, end: () => agent.destroy() }
}

/** A running server on that database, with a signed-in technician. `args` go to Node, as --cpu-prof does. */
export async function serve(file, databaseUrl, args = []) {
  const child = spawn('node', [...args, file], {
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: '0', SELVRIN_KIND: 'demo', SELVRIN_EVENING: 'off' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const address = await new Promise((found) => {
    let said = ''
    child.stdout.on('data', (text) => {
      said += text
      const match = /http:\/\/\S+/.exec(said)
      if (match) found(match[0])
    })
  })
  const signIn = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login: 'ilse', password: 'tide-mill-loft' }),
  })
  const cookie = signIn.headers.get('set-cookie').split(';')[0]
  const ways = through(address, cookie)
  const stop = async () => {
    ways.end()
    child.kill('SIGTERM')
    await new Promise((ended) => child.once('exit', ended))
  }
  return { address, cookie, pid: child.pid, ...ways, stop }
}

/** A year of bottles of several formulas, each filled, used and topped up; of `retired` of them nobody thinks any more. Answers their ids in use. */
export async function writeHistory(databaseUrl, { bottles, linesEach, retired = 0 }) {
  const db = new pg.Client({ connectionString: databaseUrl })
  await db.connect()
  // what is written is known to be sound: neither triggers nor references are looked at for each of millions of lines
  await db.query(`set session_replication_role = replica; set synchronous_commit = off; set maintenance_work_mem = '512MB'`)
  const code = `'Z' || translate(lpad(n::text, 5, '0'), '0123456789', 'ABCDEFGHJK')`
  const id = `overlay(gen_random_uuid()::text placing '7' from 15 for 1)::uuid`
  await db.query(`insert into label_code (code) select ${code} from generate_series(1, ${bottles}) n on conflict do nothing`)
  await db.query(`
    insert into bottle (id, letter, number, code, formula_version_id, size_ml, made_at, retired_at, retired_why)
      select ${id}, 'O', 1000 + n, ${code},
        (select v.id from formula_version v where v.body -> 'use' ->> 'school' = 'counted' order by v.id offset n % 8 limit 1), 1000000, now() - interval '300 days',
        case when n <= ${retired} then now() end, case when n <= ${retired} then 'empty' end from generate_series(1, ${bottles}) n`)
  await db.query(`
    insert into bottle_entry (id, bottle_id, kind, at, ml)
      select ${id}, b.id, case when i = 0 then 'fill' when i % 10 = 0 then 'top-up' else 'use' end, now() - interval '300 days' + interval '299 days' * i / ${linesEach},
        case when i = 0 then 500000 when i % 10 = 0 then 150 else -15 end
      from bottle b cross join generate_series(0, ${linesEach - 1}) i where b.letter = 'O' and b.number > 1000 order by i`)
  await db.query('set session_replication_role = origin')
  await db.query('select rebuild_checkpoints()')
  await db.query('vacuum analyze')
  const { rows } = await db.query(`select id from bottle where letter = 'O' and number > 1000 and retired_at is null order by number`)
  await db.end()
  return rows.map((row) => row.id)
}

/** Every checkpoint as npm run checkpoints makes it; writes move them up from there. */
export async function settle(file, databaseUrl) {
  const child = spawn('node', [file], { env: { ...process.env, DATABASE_URL: databaseUrl, SELVRIN_CHECKPOINTS: '1' }, stdio: 'inherit' })
  await new Promise((ended) => child.once('exit', ended))
}

export const median = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]
export const p95 = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)]

/** ms that work takes. */
export async function timed(work) {
  const began = performance.now()
  await work()
  return performance.now() - began
}

/** How many a second: `clients` at once, each job taken by whoever is free; with the ms each took. */
export async function rate(clients, jobs, work) {
  const times = []
  let next = 0
  const began = performance.now()
  await Promise.all(
    Array.from({ length: clients }, async () => {
      while (next < jobs) {
        const job = next++
        times.push(await timed(() => work(job)))
      }
    }),
  )
  return { perSecond: jobs / ((performance.now() - began) / 1000), times }
}
