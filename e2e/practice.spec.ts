import type { Page } from '@playwright/test'
import { choose, expect, signIn, test } from './support/house'

const time = (page: Page) => page.getByRole('timer')
/** Lets practice time pass until the clock of the step is nearly out: at twenty times, by seconds of the page. */
async function letRun(page: Page, pageS: number): Promise<void> {
  for (let s = 0; s < pageS; s += 10) await page.clock.fastForward(Math.min(10, pageS - s) * 1000)
}
/** Time passes by the walk alone from here on, however long its machine takes. */
const stopTime = async (page: Page) => page.clock.pauseAt((await page.evaluate(() => Date.now())) + 500)
const beaker = (page: Page, name: string | RegExp) => page.getByRole('list').getByRole('button', { name })

test('a member practises on the phone: the beakers as they stand, the fixer that failed, the light; what it would have done is said and kept, and a technician sees it', async ({
  page,
  house,
  browser,
}) => {
  await page.setViewportSize({ width: 390, height: 800 })
  await page.clock.install()
  await signIn(page, 'tilda')
  await page.goto('/films')
  await page.getByRole('link', { name: 'Practice' }).click()
  await choose(page, 'Process', /^Black-and-white negative$/)
  await page.getByRole('button', { name: '20×', exact: true }).click()
  for (const trouble of ['Beakers stand the wrong way round', 'The fixer fails its test', 'The light goes on'])
    await page.getByRole('button', { name: trouble }).click()
  await page.getByRole('button', { name: 'Begin' }).first().click()
  await stopTime(page)
  // the first as it stands is not the first to be poured
  await expect(page.getByRole('list').getByRole('button').first()).toHaveText(/Stop/)
  await beaker(page, /^Develop/).click()
  await letRun(page, 24)
  await expect(page.getByText('The light goes on in the room.')).toBeVisible()
  await page.getByRole('button', { name: 'The lid stays on' }).click()
  await letRun(page, 6)
  await beaker(page, /^Stop/).click()
  await page.clock.fastForward(1500)
  await beaker(page, /^Fix/).click()
  await expect(page.getByText('twice as long to clear')).toBeVisible()
  await page.getByRole('button', { name: 'Fix twice as long' }).click()
  await expect(time(page)).toHaveText(/^(10:00|9:5\d)$/)
  await letRun(page, 30)
  while (await page.getByRole('button', { name: /^Pour the next/ }).isVisible()) {
    await page.getByRole('button', { name: /^Pour the next/ }).click()
    await page.clock.fastForward(2500)
  }
  await page.getByRole('button', { name: /^The film is out/ }).click()
  await page.clock.resume()
  await expect(page.getByRole('status').filter({ hasText: 'The film would be right.' })).toBeVisible()
  const row = page.getByRole('listitem').filter({ hasText: 'Black-and-white negative at 20×' })
  await expect(row).toContainText('The film would be right')
  // the fixer before the developer
  await page.getByRole('button', { name: 'Once more' }).click()
  await page.getByRole('button', { name: 'Begin' }).first().click()
  await beaker(page, /^Fix/).click()
  await page.clock.fastForward(3000)
  await beaker(page, /^Develop/).click()
  await page.clock.fastForward(3000)
  await page.getByRole('button', { name: 'Take the film out' }).click()
  await expect(page.getByText('The film would not be right.')).toBeVisible()
  await expect(page.getByText('the film is clear, there is nothing on it').first()).toBeVisible()
  // a reel with eyes shut
  await page.getByRole('button', { name: 'Once more' }).click()
  await page.getByRole('button', { name: 'With eyes shut' }).click()
  await page.getByRole('button', { name: 'Begin' }).last().click()
  await letRun(page, 65)
  await page.getByRole('button', { name: 'The lid is on' }).click()
  await page.getByRole('button', { name: 'It jammed, wound back' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: /^Loading 135 with eyes shut, 1:0\d/ })).toBeVisible()
  const context = await browser.newContext({ baseURL: house.url })
  const other = await context.newPage()
  await signIn(other)
  await other.goto('/practice')
  // those of the demo are older
  for (const i of [0, 1, 2]) await expect(other.getByRole('listitem').nth(i)).toContainText('Tilda Rook')
  await context.close()
})

test('at hand speed agitation counts, the temperature is asked for and moves the end, and whoever opens the door is away', async ({
  page,
}) => {
  await page.clock.install()
  await signIn(page)
  await page.goto('/practice')
  await choose(page, 'Process', /^Black-and-white negative$/)
  await page.getByRole('button', { name: '2×', exact: true }).click()
  for (const trouble of ['The bath drifts', 'The doorbell rings']) await page.getByRole('button', { name: trouble }).click()
  await page.getByRole('button', { name: 'Begin' }).first().click()
  await stopTime(page)
  await page.keyboard.press('Space')
  await expect(time(page)).toHaveAccessibleName(/^Develop/)
  const bell = page.getByText('The doorbell rings.')
  for (let s = 0; s < 300 && !(await bell.isVisible()); s += 15) {
    await page.keyboard.press('a')
    await page.clock.fastForward(15_000)
    // what the bath has now moves the end
    if (s === 165) await page.keyboard.press('t')
  }
  await expect(page.getByRole('status').filter({ hasText: 'Measured' })).toBeVisible()
  await page.getByRole('button', { name: 'Go and open' }).click()
  await expect(page.getByText('You are at the door.')).toBeVisible()
  await expect(beaker(page, /^Stop/)).toBeDisabled()
  await page.clock.fastForward(15_000)
  await page.clock.fastForward(10_000)
  await expect(page.getByText('You are at the door.')).toHaveCount(0)
  await page.getByRole('button', { name: 'Take the film out' }).click()
  await page.clock.resume()
  await expect(page.getByRole('cell', { name: /^\d+ times$/ })).toBeVisible()
  await expect(page.getByText(/of its development|be right/).first()).toBeVisible()
})

test('a practice is there again after a reload, with its clock gone on, and is written down once', async ({ page, house }) => {
  await signIn(page)
  await page.goto('/practice')
  await choose(page, 'Process', /^Monobath$/)
  await page.getByRole('button', { name: '1×', exact: true }).click()
  await page.getByRole('button', { name: 'Begin' }).first().click()
  await page.keyboard.press('Space')
  await expect(time(page)).toBeVisible()
  const left = await time(page).textContent()
  await page.reload()
  await expect(time(page)).toBeVisible()
  await expect(time(page)).not.toHaveText(left ?? '')
  await page.getByRole('button', { name: 'Take the film out' }).click()
  await expect(page.getByText('The film would not be right.')).toBeVisible()
  const count = async () => (await house.ask<{ n: number }>('select count(*)::int as n from practice'))[0]?.n
  const written = await count()
  await page.reload()
  await expect(page.getByText('The film would not be right.')).toBeVisible()
  expect(await count()).toBe(written)
})
