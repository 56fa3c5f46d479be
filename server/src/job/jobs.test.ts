import { build } from 'esbuild'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { connect } from '../database/connection'
import type { Database } from '../table/database'
import { newDatabase } from '../test/house'
import type { Jobs } from '../house/jobs'
import { startJobs } from './jobs'

/** Waits until it is so. */
async function until(is: () => boolean): Promise<void> {
  while (!is()) await new Promise((again) => setTimeout(again, 20))
}

let db: Database
let jobs: (Jobs & { close: () => Promise<void> }) | undefined
beforeEach(async () => (db = connect(await newDatabase())))
afterEach(async () => {
  await jobs?.close()
  await db.close()
})

test('a job that is asked for in a transaction is there exactly where the transaction is', async () => {
  let done = 0
  jobs = await startJobs(db, { weeks: () => Promise.resolve(void done++) })
  const { ask } = jobs
  const undone = db.transaction(async () => {
    await ask('weeks')
    throw new Error('undone')
  })
  await expect(undone).rejects.toThrow('undone')
  await db.transaction(() => ask('weeks'))
  await until(() => done > 0)
  // another that was asked for before it would have been done first
  await ask('weeks')
  await until(() => done > 1)
  expect(done).toBe(2)
}, 30_000)

test('what is asked for again while it waits is done once more, not as often as it was asked for; what fails is tried again', async () => {
  let begun = 0
  let free = (): void => undefined
  jobs = await startJobs(db, {
    weeks: async () => {
      begun++
      if (begun === 1) await new Promise<void>((resolve) => (free = resolve))
      if (begun === 2) throw new Error('an outage')
    },
  })
  await jobs.ask('weeks')
  await until(() => begun === 1)
  for (let i = 0; i < 20; i++) await jobs.ask('weeks')
  free()
  await until(() => begun === 3)
  await jobs.ask('weeks')
  await until(() => begun === 4)
  expect(begun).toBe(4)
}, 60_000)

test('a job whose process was killed is taken up by another', async () => {
  const folder = mkdtempSync(join(__dirname, '.killed-'))
  const file = join(folder, 'child.mjs')
  try {
    await build({
      ...{ entryPoints: [join(__dirname, 'hanging.child.ts')], outfile: file, bundle: true, platform: 'node', format: 'esm' },
      ...{ logLevel: 'warning', packages: 'external' },
      alias: { '@selvrin/core': join(__dirname, '../../../core/src/index.ts') },
    })
    const child = spawn(process.execPath, [file], { env: { ...process.env, DATABASE_URL: db.url }, stdio: ['ignore', 'pipe', 'inherit'] })
    let said = ''
    child.stdout.on('data', (text: Buffer) => (said += text.toString()))
    await until(() => said.includes('ready'))
    let done = 0
    // this one takes none of it while the other is there: it only asks
    jobs = await startJobs(db, { weeks: () => Promise.resolve(void done++) }, { lostAfterS: 3, works: false })
    await jobs.ask('weeks')
    await until(() => said.includes('began'))
    child.kill('SIGKILL')
    await new Promise((gone) => child.once('exit', gone))
    await jobs.close()
    jobs = await startJobs(db, { weeks: () => Promise.resolve(void done++) }, { lostAfterS: 3 })
    await until(() => done > 0)
    expect(done).toBe(1)
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}, 60_000)
