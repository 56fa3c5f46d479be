// node bench/clicks.mjs: how long a click takes to answer on the demo, as a share of the 100 ms it may take.
// Needs a running demo: npm start, or URL=… for another address. Prints the median and the slowest of each way.
import { chromium as chromiumPath } from '../scripts/lib/install.mjs'
import { isRoot } from '../scripts/lib/place.mjs'
import { chromium } from '@playwright/test'

const url = process.env.URL ?? 'http://127.0.0.1:4780'
const allowedMs = 100
const rounds = 15

const browser = await chromium.launch({ executablePath: chromiumPath(), args: isRoot ? ['--no-sandbox'] : [] })
const page = await (await browser.newContext({ baseURL: url, viewport: { width: 1280, height: 800 } })).newPage()
await page.goto('/sign-in')
await page
  .getByRole('button', { name: /technician/ })
  .first()
  .click()
await page.getByRole('heading', { name: 'Shelf', level: 1 }).waitFor()

/** ms from the click until the page shows what was asked for, measured in the page itself. */
const answer = (selector, heading) =>
  page.evaluate(
    ([from, wanted]) =>
      new Promise((resolve) => {
        const link = document.querySelector(from)
        const started = performance.now()
        const there = () => [...document.querySelectorAll('h1')].some((one) => one.textContent?.includes(wanted))
        const look = () => (there() ? requestAnimationFrame(() => resolve(performance.now() - started)) : requestAnimationFrame(look))
        link.click()
        look()
      }),
    [selector, heading],
  )

const ways = [
  ['Formulary', 'nav a[href="/formulary"]', 'Formulary'],
  ['Scales', 'nav a[href="/scales"]', 'Scales'],
  ['Tanks', 'nav a[href="/tanks"]', 'Tanks'],
  ['Shelf', 'nav a[href="/shelf"]', 'Shelf'],
  ['a bottle', 'main li a[href^="/shelf/"]', ''],
]
const times = new Map(ways.map(([name]) => [name, []]))
for (let i = 0; i < rounds; i++)
  for (const [name, selector, heading] of ways) {
    if (name === 'a bottle') await page.locator(selector).first().waitFor()
    const wanted = heading || ((await page.locator(selector).first().locator('b').first().textContent()) ?? '')
    times.get(name).push(await answer(selector, wanted))
  }
await browser.close()
console.log('way          median  slowest  median ÷ 100 ms')
for (const [name, list] of times) {
  const sorted = [...list].sort((a, b) => a - b)
  const median = sorted[Math.floor(sorted.length / 2)]
  console.log(
    `${name.padEnd(11)} ${median.toFixed(0).padStart(4)} ms ${sorted.at(-1).toFixed(0).padStart(5)} ms   ×${(median / allowedMs).toFixed(2)}`,
  )
}
