import sharp from 'sharp'
import { choose, expect, pass, signIn, test } from './support/house'
import { greenOrBluePixel, seriousFaults } from './support/look'

test('a strip is bleached and toned by looking, goes into the swatch book with its times, and gives its mix back', async ({
  page,
  house,
}) => {
  test.setTimeout(120_000)
  await page.clock.install()
  await signIn(page)
  await page.goto('/trays/toning')
  // the stop tray of the open line stands beside it
  await expect(page.getByText(/A stop tray stands in the line/)).toBeVisible()
  await page.getByRole('button', { name: 'light sepia' }).first().click()
  const mix = page.getByRole('status').filter({ hasText: /^\s*Water/ })
  await expect(mix).toContainText(/Water 440\sml\s*, hydroxide stock 20\sml\s*, then thiourea stock 40\sml/)
  await page.getByLabel('Toner wanted').fill('1 l')
  await expect(mix).toContainText(/Water 880\sml\s*, hydroxide stock 40\sml/)
  expect(await seriousFaults(page)).toEqual([])

  await page.getByRole('button', { name: 'pulled: lights only' }).click()
  await page.getByRole('button', { name: 'A strip first' }).click()
  const step = page.getByRole('list', { name: 'Steps' }).locator('[aria-current=step]')
  await expect(page.getByRole('list', { name: 'Steps' })).toContainText('Refix in fresh plain thiosulfate')
  await page.getByRole('button', { name: 'Not needed' }).click()
  await expect(step).toContainText('Bleach 1+29, pulled')
  await page.getByRole('button', { name: 'In', exact: true }).click()
  await pass(page, house, 24)
  // a page that is loaded again goes on counting
  await page.reload()
  await expect(page.locator('[data-up]')).toHaveText(/^0:(2[4-9]|[3-5]\d)$/)
  await page.getByRole('button', { name: 'Out', exact: true }).click()
  // wash, tone, rinse, refix, wash aid, wash
  for (let i = 0; i < 6; i++) await page.getByRole('button', { name: 'Not needed' }).click()
  await expect(page.getByText('Done. Compare it dry.')).toBeVisible()
  await page.getByRole('button', { name: 'Into the swatch book' }).click()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('alert').last()).toHaveText('On which paper is it?')
  await choose(page, 'Paper', 'Loft fibre, variable')
  await page.getByLabel('Note, if any').fill('for the reeds')
  const png = await sharp({ create: { width: 60, height: 20, channels: 3, background: '#6b4a2a' } })
    .png()
    .toBuffer()
  await page.getByLabel('Photograph the dry strip').setInputFiles({ name: 'strip.png', mimeType: 'image/png', buffer: png })
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  const kept = page.getByRole('listitem').filter({ hasText: 'for the reeds' })
  await expect(kept).toContainText(/light sepia, 80 \+ 40, pulled, bleach 0:[2-5]\d/)
  await expect(kept.getByRole('img', { name: 'The strip' })).toBeVisible()
  await page.getByRole('button', { name: 'cold dark brown' }).first().click()
  await kept.getByRole('button').first().click()
  await expect(page.getByText('80 + 40', { exact: true })).toBeVisible()

  // in red light nothing of its colours
  await page.keyboard.press('l')
  await expect(page.getByText('Its photograph is shown in white light.').first()).toBeVisible()
  await expect.poll(() => greenOrBluePixel(page)).toBeNull()
})

test('several toners: gold goes last', async ({ page }) => {
  await signIn(page, 'tilda')
  await page.goto('/trays/toning')
  const several = page.getByRole('region', { name: 'Several toners' })
  await several.getByRole('button', { name: 'gold' }).click()
  await several.getByRole('button', { name: 'selenium' }).click()
  await expect(several).toContainText('gold → selenium')
  await expect(several).toContainText('Gold goes last')
  await several.getByRole('button', { name: 'Begin again' }).click()
  await several.getByRole('button', { name: 'thiourea', exact: true }).click()
  await several.getByRole('button', { name: 'gold' }).click()
  await expect(several).toContainText('orange-red')
  // a member reads the book; a technician keeps it
  await expect(page.getByRole('heading', { name: 'Swatch book' })).toBeVisible()
})
