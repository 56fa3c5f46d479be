// node bench/fanout.mjs [--against=<another checkout>] [pours]: what one pour costs a house in which many listen.
// Prints, for 1, 20 and 200 listeners and 300 and 3,000 bottles (60 in use, the rest retired): server CPU a pour, bytes and requests a listener.
import { fork } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { root } from '../scripts/lib/place.mjs'
import { startPostgres } from '../scripts/lib/postgres.mjs'
import { bundle, serve, settle, writeHistory } from './lib/house.mjs'

const against = process.argv.find((word) => word.startsWith('--against='))?.slice('--against='.length)
const pours = Number(process.argv.slice(2).find((word) => /^\d+$/.test(word)) ?? 20)
const crowds = [1, 20, 200]
const houses = [300, 3000]
const inUse = 60
const linesEach = 60
/** a pour's last word: what is derived comes at most this much later */
const quietMs = 700

const folder = mkdtempSync(join(tmpdir(), 'selvrin-bench-'))
chmodSync(folder, 0o755)
const postgres = await startPostgres(folder)
const maker = new pg.Client({ connectionString: `${postgres.url}/postgres` })
await maker.connect()
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** ms a process has computed so far. */
function cpuMs(pid) {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ')
  return (Number(fields[11]) + Number(fields[12])) * 10
}
const said = (child) => new Promise((resolve) => child.once('message', resolve))
async function counted(child) {
  const answer = said(child)
  child.send('count')
  return answer
}

/** Waits until a server has nothing to do. */
async function quiet(pid) {
  for (;;) {
    const before = cpuMs(pid)
    await wait(quietMs)
    if (cpuMs(pid) - before <= 20) return
  }
}

async function measure(file, bottles, old) {
  const name = `fanout_${bottles}_${old ? 'old' : 'new'}`
  await maker.query(`create database ${name}`)
  const url = `${postgres.url}/${name}`
  const house = await serve(file, url)
  const ids = await writeHistory(url, { bottles, linesEach, retired: bottles - inUse })
  await settle(file, url)
  const pages = ['/api/bottles?retired=true']
  for (let after = (await house.get(pages[0])).after; after; after = (await house.get(pages.at(-1))).after)
    pages.push(`/api/bottles?retired=true&after=${after}`)
  const pour = (i) =>
    house.post(`/api/bottles/${ids[i % ids.length]}/entries`, { entryId: uuid(), kind: 'pour-out', ml: 1, overrule: 'to measure' })
  for (let i = 0; i < 40; i++) await pour(i)
  const rows = []
  for (const listeners of crowds) {
    const child = fork(fileURLToPath(new URL('./lib/listeners.mjs', import.meta.url)), [
      house.address,
      house.cookie,
      listeners,
      JSON.stringify(pages),
    ])
    await said(child)
    await pour(0)
    await quiet(house.pid)
    // a server that is asked by everyone at every pour is not asked as often
    const times = old ? Math.max(1, Math.round(10 / listeners)) : pours
    const before = { ...(await counted(child)), cpu: cpuMs(house.pid) }
    for (let i = 0; i < times; i++) {
      await pour(i)
      if (old) await quiet(house.pid)
      else await wait(quietMs)
    }
    const after = { ...(await counted(child)), cpu: cpuMs(house.pid) }
    const idle = cpuMs(house.pid)
    await wait(5000)
    const alone = (cpuMs(house.pid) - idle) / 5000
    const each = (what) => (after[what] - before[what]) / times
    rows.push({
      listeners,
      cpu: each('cpu') - (old ? 0 : alone * quietMs),
      bytes: each('bytes') / listeners,
      requests: each('requests') / listeners,
    })
    child.send('end')
    await new Promise((ended) => child.once('exit', ended))
  }
  await house.stop()
  return rows
}

function print(title, bottles, rows) {
  console.log(`\n${title}, ${bottles} bottles (${inUse} in use), per pour`)
  for (const { listeners, cpu, bytes, requests } of rows)
    console.log(
      `  ${String(listeners).padStart(3)} listeners   server CPU ${cpu.toFixed(1).padStart(8)} ms   ${(bytes / 1000).toFixed(2).padStart(8)} kB and ${requests.toFixed(1)} requests a listener`,
    )
  const [few, many] = [rows[0], rows.at(-1)]
  console.log(`  each listener more: ${((many.cpu - few.cpu) / (many.listeners - few.listeners)).toFixed(3)} ms`)
}

try {
  const file = await bundle(root)
  const all = []
  for (const bottles of houses) {
    const rows = await measure(file, bottles, false)
    all.push(rows)
    print('this checkout', bottles, rows)
  }
  console.log(
    '\n3,000 bottles against 300: ' + all[1].map((row, i) => `${(row.cpu / all[0][i].cpu).toFixed(2)} at ${row.listeners}`).join(', '),
  )
  if (against) {
    const before = await bundle(against)
    for (const bottles of houses) print(against, bottles, await measure(before, bottles, true))
  }
} finally {
  await maker.end()
  await postgres.stop()
  rmSync(folder, { recursive: true, force: true })
}
