import type { Page } from '@playwright/test'
import { expect, signIn, test } from './support/house'

const open = async (page: Page): Promise<void> => {
  await page.goto('/rota')
  await page.locator('a[href^="/rota/evenings/"]').first().click()
  await expect(page.getByRole('group', { name: 'The evening along the time' })).toBeVisible()
}
const blocks = (page: Page) => page.locator('button[data-load]')

test('an evening is arranged, and what would move is taken as a whole; another browser follows', async ({ page, browser, house }) => {
  const context = await browser.newContext({ baseURL: house.url })
  const other = await context.newPage()
  await signIn(other, 'odo')
  await open(other)
  await signIn(page)
  await open(page)
  const without = page.getByRole('heading', { name: 'Without a place' })
  await expect(without).toBeVisible()
  const before = await blocks(page).count()
  await page.keyboard.press('a')
  const panel = page.getByRole('dialog', { name: 'Arrange the evening' })
  await expect(panel.getByText(/would have another place/)).toBeVisible({ timeout: 30_000 })
  await panel.getByRole('button', { name: 'Take it' }).click()
  await expect(panel).toHaveCount(0)
  await expect.poll(() => blocks(page).count()).toBeGreaterThan(before)
  const now = await blocks(page).count()
  await expect(blocks(other)).toHaveCount(now)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(blocks(page)).toHaveCount(before)
  await expect(blocks(other)).toHaveCount(before)
  await context.close()
})

test('a load is moved by keys and by the mouse: what it would meet is said, and it is put down only where it meets nothing', async ({
  page,
}) => {
  await signIn(page)
  await open(page)
  const block = blocks(page).first()
  const id = (await block.getAttribute('data-load')) ?? ''
  const mine = page.locator(`button[data-load="${id}"]`)
  const shown = await mine.getAttribute('aria-label')
  await mine.focus()
  // before it opens
  for (let i = 0; i < 300; i++) await page.keyboard.press('ArrowLeft')
  await expect(page.getByText(/It is closed until/)).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^It went back\./)).toBeVisible()
  await expect(mine).toHaveAttribute('aria-label', shown ?? '')
  await mine.click()
  await page.getByRole('button', { name: /^Why not earlier/ }).click()
  await expect(page.getByText(/Not a second earlier|It could begin earlier/)).toBeVisible()
  // dragged as far as it goes it ends too late
  const box = await mine.boundingBox()
  if (!box) throw new Error('The load is not in sight.')
  await page.mouse.move(box.x + 20, box.y + 10)
  await page.mouse.down()
  await page.mouse.move(box.x + 900, box.y + 10, { steps: 8 })
  await expect(page.getByText(/too late for closing/)).toBeVisible()
  await page.mouse.up()
  await expect(mine).toHaveAttribute('aria-label', shown ?? '')
})

test('orders of the rack are put in, and the list before the doors says what is measured out', async ({ page }) => {
  await signIn(page)
  await open(page)
  await page.getByRole('link', { name: 'Before the doors' }).click()
  await expect(page.getByRole('heading', { name: 'Before the doors open' })).toBeVisible()
  const first = page.getByRole('checkbox', { name: 'Done: fill' }).first()
  await first.check()
  await page.reload()
  await expect(page.getByRole('checkbox', { name: 'Done: fill', checked: true })).toHaveCount(1)
})

test('a screen on the wall needs a key alone; it goes on without the house, and comes back by itself', async ({ page, browser }) => {
  await signIn(page)
  await page.goto('/rota/room')
  await page.getByRole('button', { name: 'A new screen' }).click()
  await page.getByLabel('Where it hangs').fill('by the sink')
  await page.getByRole('button', { name: 'Make its key' }).click()
  const address = (await page.getByText(/\/wall\//).textContent()) ?? ''
  const context = await browser.newContext({ viewport: { width: 1920, height: 1080 } })
  const wall = await context.newPage()
  await wall.goto(address.trim())
  await expect(wall.getByRole('heading', { name: 'In the jugs' })).toBeVisible()
  await expect(wall.getByRole('navigation')).toHaveCount(0)
  await context.setOffline(true)
  await wall.evaluate(() => dispatchEvent(new Event('online')))
  await expect(wall.getByText(/the line to the house is lost/)).toBeVisible()
  await expect(wall.getByRole('heading', { name: 'In the jugs' })).toBeVisible()
  await context.setOffline(false)
  await expect(wall.getByText(/the line to the house is lost/)).toHaveCount(0, { timeout: 30_000 })
  await page.reload()
  await page.getByRole('button', { name: 'Revoke the key of by the sink' }).click()
  await wall.reload()
  await expect(wall.getByText(/opens nothing any more/)).toBeVisible()
  await context.close()
})
