// node bench/scaleout.mjs [orders] [listeners]: two server processes on one PostgreSQL behind a plain TCP proxy on loopback that gives each connection to the next of them.
// A season's orders (400) are handed in through it, 200 browsers listen through it, pours come through it: prints how many heard each pour and how soon the last of them did, whose the
// listeners were, and how long both together take to spread the orders.
import { fork } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { connect, createServer } from 'node:net'
import { cpus, tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { root } from '../scripts/lib/place.mjs'
import { startPostgres } from '../scripts/lib/postgres.mjs'
import { bundle, median, p95, serve, through } from './lib/house.mjs'
import { handIn, spreadAnew } from './lib/season.mjs'

const [orders = 400, listeners = 200] = process.argv.slice(2).map(Number)
const pours = 60
const folder = mkdtempSync(join(tmpdir(), 'selvrin-bench-'))
chmodSync(folder, 0o755)
const postgres = await startPostgres(folder)
const maker = new pg.Client({ connectionString: `${postgres.url}/postgres` })
await maker.connect()
await maker.query('create database bench')
await maker.end()

/** Gives each connection to the next server, and counts them. */
async function proxyOf(ports) {
  const given = ports.map(() => 0)
  let next = 0
  const server = createServer((from) => {
    const to = next++ % ports.length
    given[to]++
    const there = connect(ports[to], '127.0.0.1')
    from.pipe(there).pipe(from)
    from.on('error', () => there.destroy())
    there.on('error', () => from.destroy())
  })
  await new Promise((open) => server.listen(0, '127.0.0.1', open))
  return { address: `http://127.0.0.1:${server.address().port}`, given, close: () => server.close() }
}
const said = (child) => new Promise((resolve) => child.once('message', resolve))

try {
  const url = `${postgres.url}/bench`
  const file = await bundle(root)
  const servers = [await serve(file, url), await serve(file, url)]
  const proxy = await proxyOf(servers.map((one) => Number(new URL(one.address).port)))
  const house = through(proxy.address, servers[0].cookie)
  await handIn(house, orders)
  const before = [...proxy.given]
  const ears = fork(fileURLToPath(new URL('lib/hearing.mjs', import.meta.url)), [proxy.address, servers[0].cookie, String(listeners)])
  await said(ears)
  const listening = proxy.given.map((count, i) => count - before[i])

  const bottle = (await house.get('/api/bottles')).rows.find((one) => one.state.volumeMl > 2 * pours && one.family === 'stop-bath')
  const sent = new Map()
  for (let i = 0; i < pours; i++) {
    const at = Date.now()
    const answer = JSON.parse(
      (
        await house.post(`/api/bottles/${bottle.id}/entries`, { entryId: uuid(), kind: 'pour-out', ml: 1, overrule: 'to measure' })
      ).toString(),
    )
    sent.set(`${bottle.id} ${answer.state.volumeMl}`, at)
    await new Promise((again) => setTimeout(again, 150))
  }
  await new Promise((again) => setTimeout(again, 1500))
  const answer = said(ears)
  ears.send('heard')
  const heard = new Map(await answer)
  const times = [...sent].map(([key, at]) => ({ ms: (heard.get(key)?.lastAt ?? Infinity) - at, count: heard.get(key)?.count ?? 0 }))
  const { seconds, weeks } = await spreadAnew(house)
  const all = times.filter((one) => one.count === listeners).length
  const late = times.map((one) => one.ms)
  console.log(`\ntwo servers, ${cpus().length} × ${cpus()[0]?.model}: ${orders} orders, ${listening.join(' and ')} listeners`)
  console.log(
    `  ${pours} pours: ${all} heard by all ${listeners}; until the last heard, median ${median(late)} ms, p95 ${p95(late)} ms, most ${Math.max(...late)} ms`,
  )
  console.log(
    `  orders spread in ${seconds.toFixed(1)} s, ${weeks.result.openings.filter((one) => one.orders.length > 0).length} days used`,
  )
  ears.send('end')
  proxy.close()
  for (const one of servers) await one.stop()
} finally {
  await postgres.stop()
  rmSync(folder, { recursive: true, force: true })
}
