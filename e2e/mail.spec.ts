import { expect, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

test('whoever gives an address is written to what they are told, once; not wanted any more nothing is sent', async ({
  browser,
  house,
  page,
}) => {
  const context = await browser.newContext({ baseURL: house.url, viewport: { width: 390, height: 800 } })
  const phone = await context.newPage()
  await signIn(phone, 'tilda')
  await phone.goto('/settings')
  await expect(phone.getByLabel('Address', { exact: true })).toHaveValue('tilda@tidewheel.example')
  await phone.getByLabel('Address', { exact: true }).fill('at the mill')
  await phone.getByRole('button', { name: 'Keep it so' }).click()
  await expect(phone.getByText('Write an address such as name@example.org, or leave it empty.')).toBeVisible()
  await phone.getByLabel('Address', { exact: true }).fill('rook@tidewheel.example')
  await phone.getByRole('button', { name: 'Keep it so' }).click()
  await expect(phone.getByText('Where you are written to is kept.')).toBeVisible()
  expect(await seriousFaults(phone)).toEqual([])

  const tell = (text: string) =>
    house.ask(
      `insert into notice (id, person_id, at, text) select overlay(gen_random_uuid()::text placing '7' from 15 for 1)::uuid, id, now(), $1 from person where login = 'tilda'`,
      [text],
    )
  await tell('Order 4: your rolls go in at 19:10.')
  const post = await context.newPage()
  await expect(async () => {
    await post.goto(house.post)
    await expect(post.getByText('Order 4: your rolls go in at 19:10.')).toBeVisible({ timeout: 500 })
  }).toPass()
  await expect(post.getByText('to rook@tidewheel.example')).toHaveCount(1)

  await signIn(page)
  await page.goto('/people')
  await page.getByRole('link', { name: 'Letters' }).click()
  const row = page.getByRole('listitem').filter({ hasText: 'your rolls go in at 19:10' })
  await expect(row).toContainText('Tilda Rook')
  await expect(row).toContainText('sent')
  await phone.getByRole('switch', { name: 'Write to me' }).click()
  await phone.getByRole('button', { name: 'Keep it so' }).click()
  await expect(phone.getByText('Where you are written to is kept.')).toBeVisible()
  await tell('Order 4: moved to 19:40.')
  await tell('a last word')
  await page.reload()
  await expect(page.getByText('your rolls go in at 19:10')).toBeVisible()
  await expect(page.getByText('moved to 19:40')).toHaveCount(0)
  await context.close()
})
