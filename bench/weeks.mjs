// node bench/weeks.mjs [orders]: a season's orders (400) handed in through the interface of a running server, then spread over the openings of four weeks by its job queue.
// Prints how long from asking until every order has its day, and what the spread comes to.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { cpus, tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { root } from '../scripts/lib/place.mjs'
import { startPostgres } from '../scripts/lib/postgres.mjs'
import { bundle, serve } from './lib/house.mjs'
import { draws } from './lib/evenings.mjs'

const count = Number(process.argv[2] ?? 400)
const dayMs = 86_400_000
const folder = mkdtempSync(join(tmpdir(), 'selvrin-bench-'))
chmodSync(folder, 0o755)
const postgres = await startPostgres(folder)
const maker = new pg.Client({ connectionString: `${postgres.url}/postgres` })
await maker.connect()
await maker.query('create database bench')
await maker.end()

/** Orders of a season: most of one or two rolls, two in three with a date within the four weeks, some of somebody's only negatives, some not there yet. */
async function handIn(house) {
  const random = draws(1)
  const int = (most) => Math.floor(random() * most)
  const { charted } = await house.get('/api/orders/choices')
  const people = (await house.get('/api/people')).rows.filter((one) => one.active !== false)
  const processes = (await house.get('/api/processes')).rows
  const negative = processes.find((one) => /black-and-white negative/i.test(one.body.name)) ?? processes[0]
  const films = charted.filter((one, i) => charted.findIndex((other) => other.film === one.film && other.ei === one.ei) === i)
  const now = Date.now()
  for (let i = 0; i < count; i++) {
    const { film, ei } = films[int(films.length)]
    const earliest = int(5) === 0 ? now + (1 + int(14)) * dayMs : null
    const from = earliest ?? now
    const wantedBy = int(3) > 0 ? from + (2 + int(Math.max(1, Math.floor((now + 27 * dayMs - from) / dayMs)))) * dayMs : null
    await house.post('/api/orders', {
      ...{ id: uuid(), memberId: people[int(people.length)].id, film, ei, format: '135-36', count: int(4) === 0 ? 2 : 1, pushStops: 0 },
      ...{ processId: negative.id, developer: null, earliest, wantedBy, present: false, critical: int(12) === 0, note: '' },
    })
  }
}

try {
  const house = await serve(await bundle(root), `${postgres.url}/bench`)
  const room = await house.get('/api/room')
  const { version, ...body } = room
  await house.put('/api/room', { version, ...body, hands: 2, closures: [] })
  await handIn(house)
  const settled = async (since) => {
    for (;;) {
      const weeks = await house.get('/api/weeks')
      if (weeks.state === 'failed' || (weeks.state === 'done' && weeks.finishedAt >= since)) return weeks
      await new Promise((again) => setTimeout(again, 100))
    }
  }
  // what the handing-in itself asks for is done first: it begins after a few seconds
  await settled(Date.now() + 5000)
  const began = performance.now()
  const { askedAt } = JSON.parse((await house.post('/api/weeks', {})).toString())
  const weeks = await settled(askedAt)
  const seconds = (performance.now() - began) / 1000
  if (weeks.state === 'failed') throw new Error(weeks.error)
  const { openings, past, without, left, mixing } = weeks.result
  const used = openings.filter((one) => one.orders.length > 0)
  console.log(`\n${count} orders over ${openings.length} openings of four weeks, ${cpus().length} × ${cpus()[0]?.model}`)
  console.log(`  asked to done  ${seconds.toFixed(1)} s`)
  console.log(`  past their date ${past.length}, without an opening ${without.length}, no load can be made of ${left.length}`)
  console.log(`  openings used ${used.length}, hands wanted ${used.map((one) => Math.round((100 * one.wantedS) / one.thereS)).join(' ')} %`)
  console.log(`  lines of what is to be mixed ${mixing.length}, something missing in ${mixing.filter((one) => one.missing > 0).length}`)
  if (left[0]) console.log(`  ${left[0].message}`)
  await house.stop()
} finally {
  await postgres.stop()
  rmSync(folder, { recursive: true, force: true })
}
