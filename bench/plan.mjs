// node bench/plan.mjs: how long a plan takes to work out, as a share of the 20 ms it may take, and how many frames a process of 60 steps keeps while it is scrolled and dragged.
// The frames need a running demo: npm start, or URL=… for another address; without one only the plans are measured.
import { build } from 'esbuild'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const { outputFiles } = await build({
  stdin: { contents: `export { compilePlan, draftOf, houseProcesses, stepsOf } from './core/src/index'`, resolveDir: root },
  bundle: true,
  platform: 'node',
  format: 'esm',
  write: false,
})
const core = await import(`data:text/javascript;base64,${Buffer.from(outputFiles[0].contents).toString('base64')}`)
const allowedMs = 20
const rounds = 300

const bottle = ({ id, name, family }) => ({
  ...{ id, name, label: name, family, parts: [1], volumeMl: 5000, rollsLeft: 20, minConcentrateMlPerRoll: 0 },
  ...{ findings: [], oneShot: false, timeFactor: 1.1 },
})
const load = (process) => ({
  vessel: { id: 'v', name: 'Tank', kind: process.vessel ?? 'hand', reels: 2, coversMl: 600 },
  films: [{ format: '135-36', count: 2 }],
  temperatureC: core.stepsOf(process).find((step) => step.kind === 'develop' || step.kind === 'monobath')?.atC ?? 20,
  chart: [
    { temperatureC: 20, seconds: 600 },
    { temperatureC: 24, seconds: 450 },
  ],
  pushStops: 0,
})
/** A process of 60 steps: a hand tank's, washed again and again. */
const [hand] = core.houseProcesses
const sixty = {
  ...hand,
  name: 'Sixty steps',
  options: [],
  steps: Array.from({ length: 60 }, (_, i) => {
    const step = hand.steps.filter((one) => one.time !== 'chart' && !('share' in one.time))[i % 8]
    return i === 1 ? hand.steps[1] : { ...step, key: `step-${i}`, light: 'tank' }
  }),
}

/** ms of one round, the middle and the slowest of many. */
function timed(work) {
  for (let i = 0; i < 30; i++) work()
  const ms = Array.from({ length: rounds }, () => {
    const from = performance.now()
    work()
    return performance.now() - from
  }).sort((a, b) => a - b)
  return { middle: ms[ms.length >> 1], slowest: ms.at(-1) }
}
const share = (ms) => `${((100 * ms) / allowedMs).toFixed(1)} %`
console.log(`${'plan'.padEnd(44)} ${'middle'.padStart(9)} ${'slowest'.padStart(9)}   of the ${allowedMs} ms it may take`)
for (const process of [...core.houseProcesses, sixty]) {
  const bottles = process.roles.map((role) => ({ role: role.id, bottle: bottle(role) }))
  const { middle, slowest } = timed(() => core.compilePlan(process, load(process), bottles))
  console.log(`${process.name.padEnd(44)} ${share(middle).padStart(9)} ${share(slowest).padStart(9)}`)
}
const drafted = timed(() => core.draftOf(sixty))
console.log(`${'Sixty steps, as it is written'.padEnd(44)} ${share(drafted.middle).padStart(9)} ${share(drafted.slowest).padStart(9)}`)

const url = process.env.URL ?? 'http://127.0.0.1:4780'
if (!(await fetch(url).catch(() => null))) {
  console.log(`\nNothing answers at ${url}: the frames are not measured.`)
  process.exit(0)
}
const { chromium } = await import('@playwright/test')
const { chromium: chromiumPath } = await import('../scripts/lib/install.mjs')
const { isRoot } = await import('../scripts/lib/place.mjs')
const browser = await chromium.launch({ executablePath: chromiumPath(), args: isRoot ? ['--no-sandbox'] : [] })
const page = await (await browser.newContext({ baseURL: url, viewport: { width: 1280, height: 800 } })).newPage()
await page.goto('/sign-in')
await page
  .getByRole('button', { name: /technician/ })
  .first()
  .click()
await page.getByRole('heading', { name: 'Shelf', level: 1 }).waitFor()
const body = Object.fromEntries(Object.entries(sixty).filter(([key]) => key !== 'id'))
await page.goto('/tanks/processes')
await page.locator('input[type=file]').setInputFiles({
  name: 'sixty.json',
  mimeType: 'application/json',
  buffer: Buffer.from(JSON.stringify({ format: 'selvrin-processes', version: 1, processes: [body] })),
})
await page.getByText('Taken in: Sixty steps').waitFor()
await page
  .getByRole('link', { name: /^Sixty steps/ })
  .first()
  .click()
const list = page.getByRole('list', { name: 'Steps' })
await list.waitFor()
await page.waitForTimeout(500)

/** Frames a second that a page keeps while something goes on in it, and the longest gap between two. */
const frames = async (work) => {
  await page.evaluate(() => {
    globalThis.gaps = []
    let last = performance.now()
    const tick = (now) => {
      globalThis.gaps.push(now - last)
      last = now
      globalThis.running = globalThis.requestAnimationFrame(tick)
    }
    globalThis.running = globalThis.requestAnimationFrame(tick)
  })
  await work()
  return page.evaluate(() => {
    globalThis.cancelAnimationFrame(globalThis.running)
    const gaps = globalThis.gaps.slice(2)
    return { perS: (1000 * gaps.length) / gaps.reduce((sum, gap) => sum + gap, 0), worstMs: Math.max(...gaps) }
  })
}
const idle = await frames(() => page.waitForTimeout(1500))
const scrolled = await frames(() =>
  list.evaluate(
    (element) =>
      new Promise((resolve) => {
        const box = element.parentElement
        let at = 0
        const on = () => {
          box.scrollLeft = at += 40
          if (at < box.scrollWidth - box.clientWidth) globalThis.requestAnimationFrame(on)
          else resolve(undefined)
        }
        on()
      }),
  ),
)
await list.evaluate((element) => void (element.parentElement.scrollLeft = 0))
const first = await list.getByRole('listitem').first().boundingBox()
const dragged = await frames(async () => {
  await page.mouse.move(first.x + 40, first.y + 40)
  await page.mouse.down()
  for (let i = 0; i < 120; i++) await page.mouse.move(first.x + 40 + i * 8, first.y + 40)
  await page.mouse.up()
})
await browser.close()
console.log(`\n${'60 steps in the browser'.padEnd(44)} ${'frames a s'.padStart(10)} ${'of idle'.padStart(9)} ${'longest gap'.padStart(12)}`)
for (const [name, { perS, worstMs }] of Object.entries({ 'at rest': idle, scrolled, dragged }))
  console.log(
    `${name.padEnd(44)} ${perS.toFixed(0).padStart(10)} ${`${((100 * perS) / idle.perS).toFixed(0)} %`.padStart(9)} ${`${worstMs.toFixed(0)} ms`.padStart(12)}`,
  )
