import { expect, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

test('what a member hands in is promised a day, which stands on their page and in the coming weeks; spread anew the day is kept', async ({
  browser,
  house,
  page,
}) => {
  const context = await browser.newContext({ baseURL: house.url, viewport: { width: 390, height: 800 } })
  const phone = await context.newPage()
  await signIn(phone, 'tilda')
  await phone.goto('/rota')
  await phone.getByRole('button', { name: 'Hand in rolls' }).click()
  await phone.getByLabel('Film').fill('millr 1')
  await phone.getByRole('option', { name: 'Millrace 100' }).click()
  await phone.getByRole('button', { name: 'Hand in', exact: true }).click()
  const title = phone.getByRole('heading', { name: /^Order \d+$/ })
  await expect(title).toBeVisible()
  const number = /\d+/.exec((await title.textContent()) ?? '')?.[0] ?? ''
  const promised = phone.getByText(/^promised for \w{3} \d+ \w{3}$/)
  await expect(promised).toBeVisible({ timeout: 60_000 })
  const day = ((await promised.textContent()) ?? '').replace('promised for ', '')
  await phone.goto('/rota')
  await expect(phone.getByText(new RegExp(`^Order ${number}, 1 × Millrace 100: promised for`))).toBeVisible()

  await signIn(page)
  await page.goto('/rota')
  await page.getByRole('link', { name: 'The coming weeks' }).click()
  await expect(page.getByRole('status').filter({ hasText: /orders? on \d+ days?/ })).toBeVisible()
  const cell = page.getByRole('button', { name: new RegExp(`^${day}`) })
  await cell.click()
  await expect(cell).toHaveAttribute('aria-pressed', 'true')
  const mine = page.getByRole('link', { name: new RegExp(`^${number} Tilda Rook`) })
  await expect(mine).toContainText('1 × Millrace 100')
  expect(await seriousFaults(page)).toEqual([])

  await page.getByRole('button', { name: 'Spread anew' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Spreading the orders' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Spread anew' })).toBeEnabled({ timeout: 60_000 })
  await mine.click()
  await expect(page.getByText(`promised for ${day}`)).toBeVisible()

  // the floor is painted on that day: it is told, and there is another
  await house.ask(`update film_order set promised_for = '2030-01-01' where number = $1`, [Number(number)])
  await page.goto('/rota/weeks')
  await page.getByRole('button', { name: /^Promise these days/ }).click()
  await expect(page.getByRole('button', { name: /^Promise these days/ })).toHaveCount(0)
  await page.goto('/rota')
  await expect(page.getByRole('link', { name: new RegExp(`^${number} Tilda Rook`) })).toContainText(`promised for ${day}`)
  await context.close()
})
