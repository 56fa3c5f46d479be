// node bench/ledger.mjs [--against=<another checkout>] [scale …]: a year of a busy darkroom (300 bottles, 60,000 entries).
// Prints, of one run: pours a second as a share of what the bare transaction does, the shelf against its bare statement, how long others wait; with --against each
// job as a ratio to the same job of the other checkout; with scales (1 10 100) how much each grows with the history.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { cpus, tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { root } from '../scripts/lib/place.mjs'
import { startPostgres } from '../scripts/lib/postgres.mjs'
import { bundle, median, p95, rate, serve, settle, timed, writeHistory } from './lib/house.mjs'

const scales = process.argv.slice(2).map(Number).filter(Boolean)
const other = process.argv.find((word) => word.startsWith('--against='))?.slice('--against='.length)
const bottles = 300
const linesEach = 200
const rounds = 25
const clients = 8
const pours = 800

const folder = mkdtempSync(join(tmpdir(), 'selvrin-bench-'))
chmodSync(folder, 0o755)
// as a darkroom's own: every commit is on the disk before it is answered
const postgres = await startPostgres(folder)
const maker = new pg.Client({ connectionString: `${postgres.url}/postgres` })
await maker.connect()
let made = 0

/** A server of a checkout on a year's history. */
async function house(file, scale) {
  const name = `bench_${made++}`
  await maker.query(`create database ${name}`)
  const url = `${postgres.url}/${name}`
  const first = await serve(file, url)
  const ids = await writeHistory(url, { bottles, linesEach: linesEach * scale })
  await settle(file, url)
  const pour = (id) => first.post(`/api/bottles/${id}/entries`, { entryId: uuid(), kind: 'pour-out', ml: 1, overrule: 'to measure' })
  for (const id of ids.slice(0, 30)) await pour(id)
  const pages = ['/api/bottles']
  for (let after = (await first.get(pages[0])).after; after; after = (await first.get(pages.at(-1))).after)
    pages.push(`/api/bottles?after=${after}`)
  const one = ids[150]
  const jobs = {
    shelf: async () => {
      for (const path of pages) await first.take(path)
    },
    bottle: () => first.take(`/api/bottles/${one}`),
    'older lines': () => first.take(`/api/bottles/${one}/ledger`),
    'life curve': () => first.take(`/api/bottles/${one}/life`),
    pour: () => pour(one),
  }
  return { ...first, url, ids, pour, jobs, scale }
}

/** The same rounds of every house in turn, so that whatever else the machine does falls on all of them. */
async function medians(houses) {
  const times = houses.map(({ jobs }) => new Map(Object.keys(jobs).map((job) => [job, []])))
  for (let i = 0; i < rounds; i++)
    for (const job of Object.keys(houses[0].jobs))
      for (const [h, { jobs }] of houses.entries()) times[h].get(job).push(await timed(jobs[job]))
  return times.map((mine) => new Map([...mine].map(([job, list]) => [job, median(list)])))
}

/** What a pour asks of the database at least: the lock, the line with its checkpoint and its notice, by the driver alone. */
async function barePours(url, idOf, atOnce = clients) {
  const pool = new pg.Pool({ connectionString: url, max: atOnce })
  const one = async (job) => {
    const client = await pool.connect()
    const id = idOf(job)
    await client.query('begin')
    await client.query('select id from bottle where id = $1 for update', [id])
    await client.query(`insert into bottle_entry (id, bottle_id, kind, at, ml) values ($1, $2, 'pour-out', now(), -1)`, [uuid(), id])
    await client.query('commit')
    client.release()
  }
  // its connections have planned what they do before it is measured
  await rate(atOnce, 200, one)
  const result = await rate(atOnce, pours, one)
  await pool.end()
  return result
}

const bareShelf = `
  select b.id, b.letter, b.number, b.size_ml, b.parts, b.made_at, v.body, c.ml, c.carry, (select count(*) from bottle_entry e where e.bottle_id = b.id and (e.at, e.seq) > (c.carried_at, c.carried_seq))
  from bottle b join formula_version v on v.id = b.formula_version_id left join bottle_checkpoint c on c.bottle_id = b.id where b.retired_at is null order by b.letter, b.number`

const line = (...cells) =>
  console.log(
    `  ${cells[0].padEnd(34)}${cells
      .slice(1)
      .map((cell) => String(cell).padStart(14))
      .join('')}`,
  )

/** The shelf as it stands before anybody pours: lines the bare transaction writes are never put into a checkpoint. */
async function shelfShare({ url, jobs }) {
  const db = new pg.Client({ connectionString: url })
  await db.connect()
  await db.query('set jit = off')
  const bare = []
  const shelf = []
  for (let i = 0; i < rounds; i++) {
    bare.push(await timed(() => db.query(bareShelf)))
    shelf.push(await timed(jobs.shelf))
  }
  await db.end()
  line(
    'shelf ÷ its bare statement',
    `${median(shelf).toFixed(1)} ms`,
    `${median(bare).toFixed(1)} ms`,
    (median(shelf) / median(bare)).toFixed(2),
  )
}

async function throughput({ ids, pour, url }) {
  console.log(`\n${pours} pours by ${clients} at once`)
  line('', 'here /s', 'bare /s', 'share')
  for (const [what, idOf] of [
    ['on many bottles', (job) => ids[job % ids.length]],
    ['on one bottle', () => ids[7]],
  ]) {
    // both warm: what a process does in its first second is no measure of its day
    await rate(clients, 200, (job) => pour(idOf(job)))
    const bare = await barePours(url, idOf)
    const here = await rate(clients, pours, (job) => pour(idOf(job)))
    line(what, here.perSecond.toFixed(1), bare.perSecond.toFixed(1), (here.perSecond / bare.perSecond).toFixed(3))
  }
  const alone = await rate(1, 60, (job) => pour(ids[job]))
  const together = await rate(clients, pours, (job) => pour(ids[job % ids.length]))
  const spread = (many, one) => (p95(many.times) / median(one.times)).toFixed(2)
  const anyBottle = (job) => ids[job % ids.length]
  const bareSpread = spread(await barePours(url, anyBottle), await barePours(url, anyBottle, 1))
  line(`p95 of ${clients} ÷ median of one`, spread(together, alone), bareSpread, '')
  // a pour is work nearly all of its time: more at once than there are cores wait for each other whoever serves them
  line(`  at best, on ${cpus().length} cores`, '', '', (clients / cpus().length).toFixed(2))
}

try {
  const file = await bundle(root)
  const now = await house(file, 1)
  const others = []
  if (other) others.push(await house(await bundle(other), 1))
  for (const scale of scales.filter((one) => one !== 1)) others.push(await house(file, scale))
  const [mine, ...theirs] = await medians([now, ...others])
  for (const [i, { scale }] of others.entries()) {
    console.log(
      scale === 1
        ? `\nagainst the other checkout: ms here, there, ratio`
        : `\nat ${scale} times the history: ms at 1×, at ${scale}×, ratio`,
    )
    for (const [job, ms] of mine) {
      const theirsMs = theirs[i].get(job)
      line(job, ms.toFixed(1), theirsMs.toFixed(1), scale === 1 ? (ms / theirsMs).toFixed(2) : (theirsMs / ms).toFixed(2))
    }
  }
  for (const [name, one] of [['here', now], ...(other ? [['the other checkout', others[0]]] : [])]) {
    console.log(`\n${name}`)
    await shelfShare(one)
    await throughput(one)
  }
  for (const one of [now, ...others]) await one.stop()
} finally {
  await maker.end()
  await postgres.stop()
  rmSync(folder, { recursive: true, force: true })
}
