import { chromium, expect, test, type Page } from '@playwright/test'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { eventsOf, runAtClock } from './support/clock'
import { signIn, startHouse } from './support/house'

/** What belongs to a run is killed in the middle of it, one after another: it goes on, and is written once. */
let house: Awaited<ReturnType<typeof startHouse>>
test.beforeAll(async () => {
  house = await startHouse('demo', 'killed')
})
test.afterAll(() => house.stop())
test.afterEach(async () => {
  await house.ask(
    `update run set state = 'abandoned', ended_at = now(), version = version + 1 where state in ('planned', 'running') returning id`,
  )
})

// every step in three seconds, so that a run is over in the time of a walk
const quick = `jsonb_set(plan, '{steps}', (select jsonb_agg(s || '{"seconds": 3, "drainS": 1}') from jsonb_array_elements(plan -> 'steps') s))`
const out = (page: Page) => page.getByRole('heading', { name: /^Run \d+ is out$/ })

/** Presses done wherever the clock waits, until the run is out. */
async function toItsEnd(page: Page): Promise<void> {
  const cue = page.locator('[data-cue]')
  await expect(async () => {
    if (await out(page).isVisible()) return
    if (((await cue.textContent({ timeout: 1000 })) ?? '').includes('Time is up')) await page.keyboard.press('Space')
    expect(await out(page).isVisible()).toBe(true)
  }).toPass({ timeout: 60_000, intervals: [300] })
}
const stateOf = async (id: string) => (await house.ask<{ state: string }>('select state from run where id = $1', [id]))[0]?.state
/** What went through its bottles, and how often it was begun: once each. */
async function writtenOnce(id: string): Promise<void> {
  await expect.poll(() => stateOf(id), { timeout: 60_000 }).toBe('done')
  const uses = await house.ask<{ bottle_id: string; step: number }>(
    `select bottle_id, step from bottle_entry where run_id = $1 and kind = 'use'`,
    [id],
  )
  const [{ steps } = { steps: [] }] = await house.ask<{ steps: { bottle: { oneShot: boolean } | null }[] }>(
    `select plan -> 'steps' as steps from run where id = $1`,
    [id],
  )
  expect(uses.length).toBe(steps.filter((step) => step.bottle && !step.bottle.oneShot).length)
  expect((await eventsOf(house, id)).filter((one) => one.kind === 'start' && !one.late)).toHaveLength(1)
}
async function begun(page: Page): Promise<string> {
  await signIn(page, 'ilse', `${house.url}/`)
  const id = await runAtClock(page, house, 'Tank 2', quick)
  await page.goto(`${house.url}/tanks/${id}`)
  await expect(page.locator('[data-cue]')).toHaveText(/^Pour in/)
  await page.keyboard.press('Space')
  return id
}

test('the server is killed, and comes back when the run is over', async ({ page }) => {
  const id = await begun(page)
  await house.fall()
  await toItsEnd(page)
  await page.locator('[data-next]').click()
  await expect(page.getByRole('heading', { name: /is written down on this device$/ })).toBeVisible()
  await house.rise()
  await writtenOnce(id)
})

test('the database is gone, and comes back when the run is over', async ({ page }) => {
  const id = await begun(page)
  await house.hideDatabase(true)
  await toItsEnd(page)
  await page.locator('[data-next]').click()
  const waits = page.getByRole('heading', { name: /is written down on this device$/ })
  await expect(waits).toBeVisible()
  // it does not ask for what it was told already
  await page.reload()
  await expect(waits).toBeVisible()
  await expect(page.locator('[data-next]')).toHaveCount(0)
  await house.hideDatabase(false)
  await writtenOnce(id)
})

test('the server is killed and the page loaded again: the clock is there, the run goes to its end and is written down, and all of it arrives once', async ({
  page,
}) => {
  const id = await begun(page)
  // the browser has what the page is made of
  const kept = () =>
    page.evaluate(async () => ({
      page: (await caches.match('/')) !== undefined,
      parts: (await (await caches.open('parts')).keys()).length,
    }))
  await expect.poll(async () => (await kept()).page && (await kept()).parts > 10).toBe(true)
  await house.fall()
  await page.reload()
  await expect(page.getByRole('timer').or(out(page))).toBeVisible()
  await toItsEnd(page)
  await page.locator('[data-next]').click()
  const waits = page.getByRole('heading', { name: /is written down on this device$/ })
  await expect(waits).toBeVisible()
  // it does not ask for what it was told already
  await page.reload()
  await expect(waits).toBeVisible()
  await expect(page.locator('[data-next]')).toHaveCount(0)
  const lost = page.getByText('No connection')
  await expect(lost).toBeVisible()
  await house.rise()
  await writtenOnce(id)
  await expect(lost).toHaveCount(0)
  // whoever was signed in still is, and hears of others again
  await page.goto(`${house.url}/tanks`)
  await expect(page.getByRole('link', { name: 'Plan a run' })).toBeVisible()
})

test('the browser dies with lines that nobody has yet, and is opened again', async () => {
  const profile = mkdtempSync(join(tmpdir(), 'selvrin-browser-'))
  const open = async () => {
    const context = await chromium.launchPersistentContext(profile, { ...test.info().project.use.launchOptions })
    return { context, page: context.pages()[0] ?? (await context.newPage()) }
  }
  try {
    const first = await open()
    await signIn(first.page, 'ilse', `${house.url}/`)
    const id = await runAtClock(first.page, house, 'Tank 2', quick)
    await first.page.goto(`${house.url}/tanks/${id}`)
    await expect(first.page.locator('[data-cue]')).toHaveText(/^Pour in/)
    await first.context.setOffline(true)
    await first.page.keyboard.press('Space')
    await expect(first.page.locator('[data-cue]')).not.toHaveText(/: /)
    await expect(first.page.getByText(/for the server; the clock goes on/)).toBeVisible()
    const died = new Promise((resolve) => first.context.once('close', resolve))
    const session = await first.context.newCDPSession(first.page)
    await session.send('Browser.crash').catch(() => undefined)
    await died
    expect(await eventsOf(house, id)).toEqual([])
    const second = await open()
    // a browser that died may have forgotten who was signed in, and which device it is
    await second.page.goto(`${house.url}/tanks/${id}`)
    const asked = second.page.getByLabel('Sign-in name')
    const shown = second.page.locator('[data-cue]').or(out(second.page))
    await expect(shown.or(asked)).toBeVisible()
    if (await asked.isVisible()) {
      await signIn(second.page, 'ilse', `${house.url}/`)
      await second.page.goto(`${house.url}/tanks/${id}`)
    }
    await expect(shown).toBeVisible()
    const takes = second.page.getByRole('button', { name: 'Take it over' })
    if (await takes.isVisible()) {
      await takes.click()
      await second.page.getByRole('button', { name: 'Lead it from here' }).click()
    }
    await toItsEnd(second.page)
    await second.page.locator('[data-next]').click()
    await writtenOnce(id)
    await second.context.close()
  } finally {
    rmSync(profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 })
  }
})

test('the second device dies after it has taken the run over', async ({ page, browser }) => {
  const id = await begun(page)
  const context = await browser.newContext()
  const other = await context.newPage()
  await signIn(other, 'odo', `${house.url}/`)
  await other.goto(`${house.url}/tanks/${id}`)
  await other.getByRole('button', { name: 'Take it over' }).click()
  await other.getByRole('button', { name: 'Lead it from here' }).click()
  await expect(page.getByText(/leads it on another device; this one follows/)).toBeVisible()
  await context.close()
  await page.getByRole('button', { name: 'Take it over' }).click()
  await page.getByRole('button', { name: 'Lead it from here' }).click()
  await toItsEnd(page)
  await page.locator('[data-next]').click()
  await writtenOnce(id)
})
