// node bench/ledger.mjs [scale …]: a year of a busy darkroom (300 bottles, 60,000 entries), once, ten times and a hundred times as long.
// Prints how long the server takes for the shelf, one bottle, its life curve and a pour, and how much each grew against the history.
import { spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { build } from '../scripts/lib/build.mjs'
import { root } from '../scripts/lib/place.mjs'
import { startPostgres } from '../scripts/lib/postgres.mjs'

const scales = process.argv.slice(2).map(Number).filter(Boolean)
const bottles = 300
const entriesPerBottle = 200
const rounds = 15

await build()
const folder = mkdtempSync(join(tmpdir(), 'selvrin-bench-'))
chmodSync(folder, 0o755)
const postgres = await startPostgres(folder, { throwaway: true })
const maker = new pg.Client({ connectionString: `${postgres.url}/postgres` })
await maker.connect()

async function measure(scale) {
  const name = `bench_${scale}`
  await maker.query(`create database ${name}`)
  const url = `${postgres.url}/${name}`
  const server = spawn('node', [join(root, 'server/dist/main.mjs')], {
    env: { ...process.env, DATABASE_URL: url, PORT: '0', SELVRIN_KIND: 'demo' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const address = await new Promise((found) => {
    let said = ''
    server.stdout.on('data', (text) => {
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
  const get = async (path) => (await fetch(address + path, { headers: { cookie } })).json()
  const post = (path, body) =>
    fetch(address + path, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json', 'idempotency-key': randomUUID() },
      body: JSON.stringify(body),
    })

  // the history is written straight into the tables: bottles of ten formulas, each filled, used, topped up and tested over a year
  const db = new pg.Client({ connectionString: url })
  await db.connect()
  const lines = entriesPerBottle * scale
  // what is written is known to be sound: neither triggers nor references are looked at for each of millions of lines
  await db.query(`set session_replication_role = replica; set synchronous_commit = off; set maintenance_work_mem = '512MB'`)
  await db.query(`
    insert into label_code (code) select 'Z' || translate(lpad(n::text, 5, '0'), '0123456789', 'ABCDEFGHJK') from generate_series(1, ${bottles}) n on conflict do nothing`)
  await db.query(`
    insert into bottle (id, letter, number, code, formula_version_id, size_ml, made_at)
      select overlay(gen_random_uuid()::text placing '7' from 15 for 1)::uuid, 'O', 1000 + n, 'Z' || translate(lpad(n::text, 5, '0'), '0123456789', 'ABCDEFGHJK'),
        (select v.id from formula_version v where v.body -> 'use' ->> 'school' = 'counted' order by v.id offset n % 8 limit 1), 1000000, now() - interval '300 days' from generate_series(1, ${bottles}) n`)
  await db.query(`
    insert into bottle_entry (id, bottle_id, kind, at, ml, rolls)
      select overlay(gen_random_uuid()::text placing '7' from 15 for 1)::uuid, b.id, case when i = 0 then 'fill' when i % 10 = 0 then 'top-up' else 'use' end, now() - interval '300 days' + interval '299 days' * i / ${lines},
        case when i = 0 then 500000 when i % 10 = 0 then 150 else -15 end, case when i % 10 = 0 then 0 else 0.01 end
      from bottle b cross join generate_series(0, ${lines - 1}) i where b.letter = 'O' and b.number > 1000 order by i`)
  await db.query('set session_replication_role = origin')
  await db.query('select rebuild_checkpoints()')
  await db.query('vacuum analyze')
  // every checkpoint as npm run checkpoints makes it; writes move them up from here
  const rebuilt = spawn('node', [join(root, 'server/dist/main.mjs')], {
    env: { ...process.env, DATABASE_URL: url, SELVRIN_CHECKPOINTS: '1' },
    stdio: 'inherit',
  })
  await new Promise((ended) => rebuilt.once('exit', ended))
  const { rows } = await db.query(`select id from bottle where letter = 'O' and number > 1000 order by number`)
  const { rows: counted } = await db.query('select count(*)::int as n from bottle_entry')
  await db.end()
  for (const { id } of rows)
    await (await post(`/api/bottles/${id}/entries`, { entryId: uuid(), kind: 'pour-out', ml: 1, overrule: 'to measure' })).text()

  // the answers are taken as they come, not unpacked or read: it is the server that is measured
  const take = async (path) => (await fetch(address + path, { headers: { cookie, 'accept-encoding': 'identity' } })).arrayBuffer()
  const pages = ['/api/bottles']
  for (let after = (await get(pages[0])).after; after; after = (await get(pages.at(-1))).after) pages.push(`/api/bottles?after=${after}`)
  const shelf = async () => {
    for (const path of pages) await take(path)
  }
  const one = rows[150].id
  const jobs = {
    shelf,
    bottle: () => take(`/api/bottles/${one}`),
    'older lines': () => take(`/api/bottles/${one}/ledger`),
    'life curve': () => take(`/api/bottles/${one}/life`),
    pour: async () =>
      (await post(`/api/bottles/${one}/entries`, { entryId: uuid(), kind: 'pour-out', ml: 1, overrule: 'to measure' })).text(),
  }
  const medians = {}
  for (const [job, work] of Object.entries(jobs)) {
    const times = []
    for (let i = 0; i < rounds; i++) {
      const began = performance.now()
      await work()
      times.push(performance.now() - began)
    }
    medians[job] = times.sort((a, b) => a - b)[Math.floor(rounds / 2)]
  }
  server.kill('SIGTERM')
  await new Promise((ended) => server.once('exit', ended))
  await maker.query(`drop database ${name} with (force)`)
  return { entries: counted[0].n, medians }
}

try {
  const results = []
  for (const scale of scales.length > 0 ? scales : [1, 10, 100]) {
    const result = await measure(scale)
    results.push(result)
    const first = results[0]
    console.log(`\n${scale}×: ${result.entries.toLocaleString('en')} entries in ${bottles} bottles and the demo`)
    for (const [job, ms] of Object.entries(result.medians))
      console.log(
        `  ${job.padEnd(12)} ${ms.toFixed(1).padStart(8)} ms   ${(ms / first.medians[job]).toFixed(2)}× at ${(result.entries / first.entries).toFixed(1)}× the history`,
      )
  }
} finally {
  await maker.end()
  await postgres.stop()
  rmSync(folder, { recursive: true, force: true })
}
