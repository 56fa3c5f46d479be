// node bench/board.mjs: how fluid the board of an evening stays with 60 loads while one is dragged, as a share of the 16.7 ms a frame has.
// Needs a running demo: npm start, or URL=… for another address. The demo's evening is shown with its loads many times over; a load is dragged for some seconds, and each frame is timed
// in the page itself.
import { chromium as chromiumPath } from '../scripts/lib/install.mjs'
import { isRoot } from '../scripts/lib/place.mjs'
import { chromium } from '@playwright/test'

const url = process.env.URL ?? 'http://127.0.0.1:4780'
const frameMs = 1000 / 60
const wanted = 60
const moves = 240

const browser = await chromium.launch({ executablePath: chromiumPath(), args: isRoot ? ['--no-sandbox'] : [] })
const page = await (await browser.newContext({ baseURL: url, viewport: { width: 1280, height: 800 } })).newPage()
await page.goto('/sign-in')
await page
  .getByRole('button', { name: /technician/ })
  .first()
  .click()
await page.getByRole('heading', { name: 'Shelf', level: 1 }).waitFor()

/** The evening with as many loads: copies of those it has, each in a copy of its tank. */
const many = (answer) => {
  const { evening, house } = answer
  const placed = evening.body.loads.filter((load) => load.place)
  const copyId = (id, n) => `${id.slice(0, -4)}${n.toString(16).padStart(4, '0')}`
  const loads = []
  const vessels = [...house.vessels]
  for (let n = 1; loads.length + placed.length < wanted; n++)
    for (const load of placed) {
      if (loads.length + placed.length >= wanted) break
      const vesselId = copyId(load.place.vesselId, n)
      if (!vessels.some((one) => one.id === vesselId)) {
        const vessel = house.vessels.find((one) => one.id === load.place.vesselId)
        vessels.push({ ...vessel, id: vesselId, name: `${vessel.name} ${n}` })
      }
      loads.push({ ...load, id: copyId(load.id, n), place: { ...load.place, vesselId } })
    }
  return {
    ...answer,
    evening: { ...evening, body: { ...evening.body, loads: [...evening.body.loads, ...loads] } },
    house: { ...house, vessels },
  }
}
await page.route(/\/api\/evenings\/[0-9a-f-]{36}$/, async (route) => {
  const response = await route.fetch()
  await route.fulfill({ response, json: many(await response.json()) })
})
await page.goto('/rota')
await page.locator('a[href^="/rota/evenings/"]').first().click()
const block = page.locator('button[data-load]').first()
await block.waitFor()
const count = await page.locator('button[data-load]').count()

/** ms between frames while a load is dragged to and fro. */
const frames = async (drag) => {
  await page.evaluate(() => {
    window.frameTimes = []
    let last = performance.now()
    const look = (now) => {
      window.frameTimes.push(now - last)
      last = now
      if (!window.framesOver) requestAnimationFrame(look)
    }
    window.framesOver = false
    requestAnimationFrame((now) => {
      last = now
      requestAnimationFrame(look)
    })
  })
  await drag()
  return page.evaluate(() => {
    window.framesOver = true
    return window.frameTimes
  })
}
const box = await block.boundingBox()
const [x, y] = [box.x + Math.min(20, box.width / 2), box.y + 10]
const still = await frames(() => page.waitForTimeout(2000))
const dragged = await frames(async () => {
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 0; i < moves; i++) await page.mouse.move(x + 300 * Math.sin(i / 20), y + 80 * Math.abs(Math.sin(i / 35)))
  await page.keyboard.press('Escape')
  await page.mouse.up()
})
await browser.close()

const at = (list, share) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))]
console.log(`${count} loads           median    p95    worst   p95 ÷ 16.7 ms`)
for (const [name, list] of [
  ['nothing moved', still],
  ['one dragged', dragged],
])
  console.log(
    `${name.padEnd(16)} ${at(list, 0.5).toFixed(1).padStart(6)} ms ${at(list, 0.95).toFixed(1).padStart(5)} ms ${at(list, 1).toFixed(1).padStart(6)} ms   ×${(at(list, 0.95) / frameMs).toFixed(2)}   ${list.length} frames`,
  )
