import { arrangeUntil, type DarkroomEvening, type DarkroomPlan } from '@selvrin/core'
import { build } from 'esbuild'
import { join } from 'node:path'
import { darkroomEvening } from '../core/src/samples'
import type { inArranging as Arrange } from '../web/src/rota/arranging'
import { expect, signIn, test } from './support/house'

const root = process.cwd()

/** A file of the page, bundled for the browser as it is. */
async function bundled(contents: string, define: Record<string, string> = {}): Promise<string> {
  const { outputFiles } = await build({
    stdin: { contents, resolveDir: join(root, 'web/src/rota'), loader: 'ts' },
    ...{ bundle: true, write: false, format: 'iife', target: 'es2022', logLevel: 'error', define },
    alias: { '@selvrin/core': join(root, 'core/src/index.ts') },
  })
  return outputFiles[0]?.text ?? ''
}

const [load] = darkroomEvening.loads as [DarkroomEvening['loads'][0]]
const [tank] = darkroomEvening.vessels as [DarkroomEvening['vessels'][0]]
const evening: DarkroomEvening = {
  ...darkroomEvening,
  room: { ...darkroomEvening.room, closesS: 90_000, resources: ['closet', 'wash', 'dryer'].map((id) => ({ id, places: 2 })) },
  vessels: ['tank', 'second', 'third'].map((id) => ({ ...tank, id })),
  loads: Array.from({ length: 6 }, (_, i) => ({ ...load, id: `l${i}`, dueS: 70_000 + 1000 * i })),
}

test('an evening is arranged in a worker of the browser: the plan is the one a server finds, and it can be ended', async ({
  page,
  house,
}) => {
  const worker = await bundled(`import './arrange.worker'`)
  const caller = await bundled(`import { inArranging } from './arranging'; Object.assign(globalThis, { inArranging })`, {
    'import.meta.url': JSON.stringify(`${house.url}/assets/caller.js`),
  })
  const serve = (path: string, body: string) =>
    page.route(`**/assets/${path}`, (route) => route.fulfill({ body, contentType: 'text/javascript' }))
  await serve('arrange.worker.ts', worker)
  await serve('caller.js', caller)
  await signIn(page)
  await page.addScriptTag({ url: '/assets/caller.js' })

  const asked = { seed: 2, rounds: 10, ms: 600_000 }
  const plan = await page.evaluate(
    ([of, how]) => {
      const { inArranging } = globalThis as unknown as { inArranging: typeof Arrange }
      return inArranging('arrange', of, how, () => undefined).answer as Promise<DarkroomPlan>
    },
    [evening, asked] as const,
  )
  expect(plan.rota.placed.length).toBeGreaterThan(3)
  expect(plan).toEqual(JSON.parse(JSON.stringify(arrangeUntil(evening, asked))))

  const ended = await page.evaluate(async (of) => {
    const { inArranging } = globalThis as unknown as { inArranging: typeof Arrange }
    const told: number[] = []
    let first: () => void = () => undefined
    const heard = new Promise<void>((resolve) => (first = resolve))
    const going = inArranging('arrange', of, { seed: 2, rounds: 1_000_000, ms: 600_000 }, ({ rounds }: { rounds: number }) => {
      told.push(rounds)
      // what it says first may be before its first round, where the machine is slow
      if (rounds > 0) first()
    })
    await heard
    going.cancel()
    return { plan: await going.answer, told }
  }, evening)
  expect(ended.plan).toBeNull()
  expect(ended.told.at(-1)).toBeGreaterThan(0)
})
