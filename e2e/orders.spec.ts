import { choose, expect, signIn, test } from './support/house'
import { takeByLetters } from './support/hand'
import { seriousFaults } from './support/look'
import sharp from 'sharp'

test('a member hands in rolls on the phone, photographs the canister, and wants something else', async ({ browser, house, page }) => {
  const context = await browser.newContext({ baseURL: house.url, viewport: { width: 390, height: 800 } })
  const phone = await context.newPage()
  await signIn(phone, 'tilda')
  await signIn(page)
  await page.keyboard.press('7')
  await expect(page.getByRole('heading', { name: 'Rota' })).toBeVisible()

  await phone.getByRole('link', { name: 'Rota' }).click()
  await phone.getByRole('button', { name: 'Hand in rolls' }).click()
  await expect(phone.getByLabel('Film')).toBeFocused()
  await phone.getByLabel('Film').fill('millr 1')
  await phone.getByRole('option', { name: 'Millrace 100' }).click()
  await expect(phone.getByLabel('Exposed at')).toHaveValue('100')
  await phone.getByRole('button', { name: '3', exact: true }).click()
  await phone.getByRole('button', { name: 'push 1' }).click()
  await choose(phone, 'Wanted by', /^Today/)
  await phone.getByLabel('At', { exact: true }).fill('evening')
  await phone.getByRole('button', { name: 'Hand in' }).click()
  await expect(phone.getByText('Write a time of day, such as 18:30.')).toBeVisible()
  await phone.getByLabel('At', { exact: true }).fill('0:01')
  await phone.getByRole('button', { name: 'Hand in' }).click()
  await expect(phone.getByText('The time it is wanted by is over. Say a later one, or none.')).toBeVisible()
  await expect(phone.getByLabel('Film')).toHaveValue('Millrace 100')
  await choose(phone, 'Wanted by', 'No hurry')
  expect(await seriousFaults(phone)).toEqual([])
  await phone.getByRole('button', { name: 'Hand in' }).click()
  const title = phone.getByRole('heading', { name: /^Order \d+$/ })
  await expect(title).toBeVisible()
  const number = /\d+/.exec((await title.textContent()) ?? '')?.[0] ?? ''
  await expect(phone.getByText('3 × Millrace 100, 135-36, EI 100, push 1')).toBeVisible()
  await expect(phone.getByText(/^in the rack, place \d+/)).toBeVisible()

  // it stands on the technician's page at once
  const row = page.getByRole('link', { name: new RegExp(`^${number} Tilda Rook`) })
  await expect(row).toContainText('3 × Millrace 100')

  const canister = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#c80' } })
    .png()
    .toBuffer()
  await phone.getByLabel('Photograph it').setInputFiles({ name: 'canister.png', mimeType: 'image/png', buffer: canister })
  const taken = phone.getByRole('img', { name: `Canister of order ${number}` })
  await expect(taken).toBeVisible()
  await expect.poll(() => taken.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(60)

  // both want something else of it: whoever comes second is told, and loses nothing
  await row.click()
  await page.getByRole('button', { name: 'Want something else' }).click()
  await phone.getByRole('button', { name: 'Want something else' }).click()
  await page.getByLabel('How many', { exact: true }).fill('2')
  await phone.getByLabel('Note').fill('curls')
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByText('How many: 3, now 2')).toBeVisible()
  await phone.getByRole('button', { name: 'Keep it so' }).click()
  await expect(phone.getByRole('dialog').getByRole('alert').last()).toBeVisible()
  await expect(phone.getByLabel('Note')).toHaveValue('curls')
  await context.close()

  // taken back, its place is free and the record says why
  await page.getByRole('button', { name: 'Take it back undeveloped' }).click()
  await page.getByLabel('Why').fill('no')
  await page.getByRole('button', { name: 'Take it back', exact: true }).click()
  await expect(page.getByText('Give the reason in a few words.')).toBeVisible()
  await page.getByLabel('Why').fill('not exposed at all')
  await page.getByRole('button', { name: 'Take it back', exact: true }).click()
  await expect(page.getByText('taken back undeveloped: not exposed at all').first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Want something else' })).toHaveCount(0)
})

test('at the counter an order is taken in with the keyboard alone', async ({ page, house }) => {
  await signIn(page)
  await page.keyboard.press('7')
  await expect(page.getByRole('heading', { name: 'Rota' })).toBeVisible()
  await page.keyboard.press('n')
  await expect(page.getByRole('button', { name: /^Whose/ })).toBeFocused()
  await page.keyboard.press('Enter')
  await takeByLetters(page, 'nell')
  await expect(page.getByRole('button', { name: /^Whose/ })).toContainText('Nell Saltmarsh')
  await page.keyboard.press('Tab')
  await expect(page.getByLabel('Film')).toBeFocused()
  await page.keyboard.type('mill 4')
  await expect(page.getByRole('option', { name: 'Millrace 400' })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Film')).toHaveValue('Millrace 400')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /^Order \d+$/ })).toBeVisible()
  const [made] = await house.ask<{ film: string; ei: number; name: string; by: string }>(
    `select o.film, o.ei, p.name, b.name as by from film_order o join person p on p.id = o.member_id join person b on b.id = o.handed_by order by o.number desc limit 1`,
  )
  expect(made).toEqual({ film: 'Millrace 400', ei: 400, name: 'Nell Saltmarsh', by: 'Ilse Varn' })
})
