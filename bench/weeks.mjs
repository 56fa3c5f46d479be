// node bench/weeks.mjs [orders]: a season's orders (400) handed in through the interface of a running server, then spread over the openings of four weeks by its job queue.
// Prints how long from asking until every order has its day, and what the spread comes to.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { cpus, tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { root } from '../scripts/lib/place.mjs'
import { startPostgres } from '../scripts/lib/postgres.mjs'
import { bundle, serve } from './lib/house.mjs'
import { handIn, spreadAnew } from './lib/season.mjs'

const count = Number(process.argv[2] ?? 400)
const folder = mkdtempSync(join(tmpdir(), 'selvrin-bench-'))
chmodSync(folder, 0o755)
const postgres = await startPostgres(folder)
const maker = new pg.Client({ connectionString: `${postgres.url}/postgres` })
await maker.connect()
await maker.query('create database bench')
await maker.end()

try {
  const house = await serve(await bundle(root), `${postgres.url}/bench`)
  await handIn(house, count)
  const { seconds, weeks } = await spreadAnew(house)
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
