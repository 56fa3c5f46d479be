import { build } from 'esbuild'
import { arrangeUntil, type ArrangeProgress, type DarkroomEvening } from '@selvrin/core'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { darkroomEvening } from '../../../core/src/samples'
import { arrangeInThread } from './arranging'

const folder = mkdtempSync(join(tmpdir(), 'selvrin-rota-'))
const file = join(folder, 'thread.mjs')
afterAll(() => rmSync(folder, { recursive: true, force: true }))
beforeAll(() =>
  build({
    ...{
      entryPoints: [join(__dirname, 'arrange.thread.ts')],
      outfile: file,
      bundle: true,
      platform: 'node',
      format: 'esm',
      logLevel: 'warning',
    },
    alias: { '@selvrin/core': join(__dirname, '../../../core/src/index.ts') },
  }),
)

/** A full evening: twelve rolls one person leads through three tanks. */
const [load] = darkroomEvening.loads as [DarkroomEvening['loads'][0]]
const [tank] = darkroomEvening.vessels as [DarkroomEvening['vessels'][0]]
const [stock, fixer] = darkroomEvening.bottles as [DarkroomEvening['bottles'][0], DarkroomEvening['bottles'][0]]
const full: DarkroomEvening = {
  ...darkroomEvening,
  room: { ...darkroomEvening.room, closesS: 90_000, resources: ['closet', 'wash', 'dryer'].map((id) => ({ id, places: 2 })) },
  vessels: ['tank', 'second', 'third'].map((id) => ({ ...tank, id })),
  bottles: [
    { ...stock, carry: { ...stock.carry, volumeMl: 5000 }, shelf: { ...stock.shelf, state: { ...stock.shelf.state, volumeMl: 5000 } } },
    fixer,
  ],
  loads: Array.from({ length: 12 }, (_, i) => ({ ...load, id: `l${i}`, dueS: 70_000 + 1000 * i })),
}
const forEver = { evening: full, seed: 3, rounds: 1_000_000, ms: 600_000 }

test('the same seed and rounds give the same plan in a thread as anywhere', async () => {
  const here = arrangeUntil(full, { seed: 3, rounds: 20 })
  expect(here.rota.placed.length).toBeGreaterThan(8)
  expect(await arrangeInThread(file, { ...forEver, rounds: 20 })).toEqual(here)
})

test('it says how far it is, and ends at once when it is told to', async () => {
  const ending = new AbortController()
  const told: ArrangeProgress[] = []
  const answer = await arrangeInThread(file, forEver, {
    signal: ending.signal,
    told: (progress) => {
      told.push(progress)
      if (told.length === 2) ending.abort()
    },
  })
  expect([answer, told.length]).toEqual([null, 2])
  expect(told[1]?.rounds).toBeGreaterThan(told[0]?.rounds ?? Infinity)
})

test('what cannot be arranged is said by whoever asked, not swallowed', async () => {
  await expect(arrangeInThread(file, { ...forEver, evening: { ...full, bottles: null as never } })).rejects.toThrow(/null/)
})
