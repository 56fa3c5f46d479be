import { choose, expect, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

test('a tray line: prints are counted on every device, a tray is replaced, at the end each liquid goes where it belongs, and another line is set up with its two baths', async ({
  page,
  browser,
  house,
}) => {
  test.setTimeout(180_000)
  await signIn(page)
  await page.keyboard.press('6')
  await page.getByRole('link', { name: 'Look after it' }).click()
  const line = page.getByRole('list', { name: 'Tray line' })
  await expect(line.getByRole('listitem')).toHaveCount(4)
  await expect(page.getByRole('heading', { name: 'Went through: 6.5 prints of 8×10 in' })).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])

  // a member writes down what went through; it stands here at once
  const other = await browser.newContext({ locale: 'en-GB', viewport: { width: 390, height: 844 } })
  const phone = await other.newPage()
  await phone.goto(page.url())
  await signIn(phone, 'tilda')
  await phone.goto('/trays/line')
  await expect(phone.getByRole('button', { name: 'Close the line' })).toHaveCount(0)
  await phone.getByRole('button', { name: 'Prints went through' }).click()
  await phone.getByLabel('Prints', { exact: true }).fill('many')
  await phone.getByRole('button', { name: 'Write it down' }).click()
  await expect(phone.getByRole('alert')).toHaveText('How many prints?')
  await phone.getByLabel('Prints', { exact: true }).fill('4')
  await phone.getByLabel('Size', { exact: true }).fill('20.32 × 25.4')
  await phone.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByRole('heading', { name: 'Went through: 10.5 prints of 8×10 in' })).toBeVisible()
  await other.close()

  // it was written twice: taken back by a second line
  await page
    .getByRole('button', { name: /^Take back/ })
    .first()
    .click()
  await page.getByLabel('What was wrong with it?').fill('those were of last week')
  await page.getByRole('dialog').getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByRole('heading', { name: 'Went through: 6.5 prints of 8×10 in' })).toBeVisible()

  // a tone that comes up late, with its temperature
  await page.getByRole('button', { name: 'A tone shows' }).click()
  await page.getByRole('button', { name: 'It goes in' }).click()
  await page.getByRole('button', { name: /^It shows/ }).click()
  await page.getByLabel('Seconds', { exact: true }).fill('15')
  await expect(page.getByRole('status').filter({ hasText: 'The first of this tray' })).toBeVisible()
  await page.getByRole('button', { name: 'Write it down' }).click()
  await page.getByRole('button', { name: 'A tone shows' }).click()
  await page.getByLabel('Seconds', { exact: true }).fill('24')
  await expect(page.getByRole('status').filter({ hasText: 'Leave it 120 s in the developer.' })).toBeVisible()
  await expect(page.getByText(/times as late as in the fresh bath: replace it/)).toBeVisible()
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(line.getByText('tones come up 1.60 times as late as fresh')).toBeVisible()

  // fresh fixer out of the concentrate, the old into its drum with the same tap
  await page.getByRole('button', { name: /^Replace Fixer/ }).click()
  await expect(page.getByText(/hot \+/)).toBeVisible()
  await page.getByRole('button', { name: 'It is filled anew' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(line.getByRole('listitem').filter({ hasText: 'Fixer' })).toContainText('0 prints')

  // the day’s end
  await page.getByRole('button', { name: 'Close the line' }).click()
  await expect(page.getByText('is poured away, whatever is left in it: it stood open.')).toBeVisible()
  await page.getByRole('button', { name: 'It is closed' }).click()
  await expect(page.getByRole('button', { name: 'Poured: the line stands' })).toBeVisible()
  const [waste] = await house.ask<{ n: string }>(
    `select count(*) as n from waste_entry w join bottle b on b.id = w.bottle_id where w.note like 'tray line 1%' and b.retired_at is not null`,
  )
  expect(Number(waste?.n)).toBe(2)

  // for fibre paper: two fixers, each with its mark
  await choose(page, 'For', /Loft fibre/)
  const fills = page.getByRole('list', { name: 'Trays to fill' }).getByRole('listitem')
  await expect(fills).toHaveCount(5)
  for (const n of [2, 3]) {
    await fills
      .nth(n)
      .getByRole('button', { name: /^Out of/ })
      .click()
    await page
      .getByRole('option', { name: /Plain fixer for fibre prints, as it is/ })
      .nth(n - 2)
      .click()
    await fills.nth(n).getByLabel('In it').fill('1 L')
  }
  await expect(page.getByRole('button', { name: 'Rinse' })).toHaveAttribute('aria-pressed', 'true')
  expect(await seriousFaults(page)).toEqual([])
  await page.getByRole('button', { name: 'Poured: the line stands' }).click()
  await expect(line.getByRole('listitem')).toHaveCount(5)
  await expect(line.getByRole('listitem').nth(2)).toContainText('bath 1')
  await expect(line.getByRole('listitem').nth(3)).toContainText('bath 2')
})
