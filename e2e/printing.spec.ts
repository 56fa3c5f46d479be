import { v7 as uuid } from 'uuid'
import { choose, expect, signIn, test } from './support/house'
import { tabTo } from './support/hand'
import { seriousFaults } from './support/look'

const months = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ')

test('a member books an enlarger on the phone; a technician sees who prints, gives more with a reason and moves it; the member is told and gives it back', async ({
  browser,
  house,
  page,
}) => {
  const context = await browser.newContext({ baseURL: house.url, viewport: { width: 390, height: 844 } })
  const phone = await context.newPage()
  await signIn(phone, 'tilda')
  await signIn(page)
  await page.goto('/rota')
  await page.getByRole('link', { name: 'Printing places' }).click()
  await expect(page.getByRole('heading', { name: 'Printing places' })).toBeVisible()

  // three days after the demo’s evening there is room, whatever the hour: the first span of it
  const [evening] = await house.ask<{ opens_at: Date }>('select opens_at from evening order by opens_at desc limit 1')
  const ahead = new Date(Number(evening?.opens_at) + 3 * 86_400_000)
  await phone.goto('/rota')
  await phone.getByRole('link', { name: /Book an enlarger/ }).click()
  const days = phone.locator('section').filter({ has: phone.getByRole('button', { name: /free/ }) })
  const day = days.filter({ hasText: new RegExp(`\\b${ahead.getDate()} ${months[ahead.getMonth()]}`) })
  const title = ((await day.getByRole('heading').textContent()) ?? '').trim()
  const date = /\w{3} \d+ \w{3}/.exec(title)?.[0] ?? ''
  const first = day.getByRole('button').first()
  const free = Number(/(\d+) free/.exec((await first.textContent()) ?? '')?.[1])
  await first.click()
  const panel = phone.getByRole('dialog', { name: 'Book an enlarger' })
  const ends = phone.getByRole('option')
  await panel.getByRole('button', { name: /^To/ }).click()
  // longer than everybody’s share is not for members
  await ends.last().click()
  await expect(panel.getByRole('status')).toHaveText('A place is at most 3 h long.')
  await panel.getByRole('button', { name: 'Book it' }).click()
  await expect(panel.getByRole('alert')).toHaveText('A place is at most 3 h long.')
  await panel.getByRole('button', { name: /^To/ }).click()
  await ends.nth(3).click()
  await panel.getByRole('button', { name: 'Book it' }).click()
  await expect(panel).toHaveCount(0)
  const own = phone.getByRole('region', { name: 'You print' })
  await expect(own).toContainText(date)
  await expect(first).toContainText('yours')
  expect(await seriousFaults(phone)).toEqual([])

  // told at once, with the name
  const theirs = page.locator('section').filter({ hasText: date })
  const chip = theirs.getByRole('button', { name: /Tilda Rook/ })
  await expect(chip).toBeVisible()
  await expect(theirs.getByRole('button').first()).toContainText(`${free - 1} free`)
  await chip.click()
  const move = page.getByRole('dialog', { name: 'Move Tilda Rook’s place' })
  const from = await move.getByLabel('From').inputValue()
  const later = `${Number(from.slice(0, 2))}:10`
  await move.getByLabel('From').fill(later)
  await expect(move.getByRole('status')).toContainText(/^Places begin and end every 30 min/)
  await move.getByRole('button', { name: 'Move it' }).click()
  await expect(move.getByRole('alert')).toContainText(/^Places begin and end every 30 min/)
  await move.getByLabel('Why it is given all the same').fill('her train comes then')
  await move.getByRole('button', { name: 'Move it' }).click()
  await expect(move).toHaveCount(0)
  await expect(chip).toContainText(`${later}–`)
  await expect(chip).toContainText('her train comes then')

  await expect(own).toContainText(`${later} to`)
  await phone.goto('/rota')
  await expect(phone.getByText(/^Your place at an enlarger is .* now, not/)).toBeVisible()
  await phone.getByRole('link', { name: new RegExp(`You print ${date}, ${later} to`) }).click()
  await own.getByRole('button', { name: 'Give back' }).click()
  await phone.getByRole('button', { name: 'Give it back' }).click()
  await expect(own).toHaveCount(0)
  await expect(chip).toHaveCount(0)
  await context.close()
})

test('the share of each is set with the room, and what an evening has is the same as what is booked', async ({ house, page }) => {
  await signIn(page)
  await page.goto('/rota/room')
  await page.getByLabel('At once, at most').fill('1,5')
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByText('Kept. Evenings are planned with it from now on.')).toBeVisible()
  await page.goto('/rota/printing')
  await expect(page.getByText(/each at most 1 h 30 min long/)).toBeVisible()
  // an evening that is ahead, whatever hour it is now: what has begun is ended, not taken back
  const [tonight] = await house.ask<{ opens_at: Date; closes_at: Date; people: unknown }>(
    `select opens_at, closes_at, body -> 'people' as people from evening order by opens_at desc limit 1`,
  )
  const later = (at?: Date): number => Number(at) + 2 * 86_400_000
  const day = new Date(later(tonight?.opens_at)).toISOString().slice(0, 10)
  // that weekday may have other hours: nobody who prints then is closed out
  const [places] = await house.ask<{ first: Date | null; last: Date | null }>(
    `select min(from_at) as first, max(until_at) as last from print_place where day = '${day}' and taken_back_at is null`,
  )
  const opensAt = Math.min(later(tonight?.opens_at), Number(places?.first ?? Infinity))
  const closesAt = Math.max(later(tonight?.closes_at), Number(places?.last ?? 0))
  const evening = uuid()
  const planned = await page.request.post(`${house.url}/api/evenings`, {
    headers: { 'idempotency-key': uuid() },
    data: {
      ...{ id: evening, day, people: tonight?.people, opensAt, closesAt },
    },
  })
  expect([planned.status(), await planned.text()]).toEqual([200, expect.stringContaining('id')])
  await page.goto(`/rota/evenings/${evening}`)
  const named = page.getByText('Tilda Rook', { exact: true })
  await expect(page.getByText('Enlargers')).toBeVisible()
  const before = await named.count()
  // a panel that has nothing to press yet has the focus all the same, and keeps it
  let come = (): void => undefined
  const coming = new Promise<void>((resolve) => (come = resolve))
  await page.route('**/api/printing*', async (route) => {
    await coming
    await route.continue()
  })
  const opener = page.getByRole('button', { name: 'Who prints' })
  await opener.press('Enter')
  const who = page.getByRole('dialog', { name: 'Who prints' })
  await expect(who.locator(':focus')).toHaveText('Who prints')
  await expect(who.getByText('Asking …')).toBeVisible()
  await page.keyboard.press('Tab')
  await expect(who.locator(':focus')).toHaveCount(1)
  come()
  await expect(who.getByRole('button', { name: 'Book an enlarger' })).toBeVisible()
  await tabTo(page, 'Book an enlarger', 20)
  await page.keyboard.press('Escape')
  await expect(who).toHaveCount(0)
  await expect(opener).toBeFocused()
  await opener.press('Enter')
  await who.getByRole('button', { name: 'Book an enlarger' }).click()
  const book = page.getByRole('dialog', { name: 'Book an enlarger' })
  await choose(page, 'Who', 'Tilda Rook')
  const begins = await book.getByLabel('From').inputValue()
  await book.getByLabel('To').fill(`${Number(begins.slice(0, 2)) + 1}${begins.slice(2)}`)
  await book.getByRole('button', { name: 'Book it' }).click()
  await expect(who.getByRole('button', { name: /Tilda Rook/ })).toBeVisible()
  await who.getByRole('button', { name: 'Back to the board' }).click()
  await expect(named).toHaveCount(before + 1)
  await page.goto('/rota/printing')
  const chip = page.getByRole('button', { name: new RegExp(`${begins}–.*Tilda Rook`) })
  await chip.click()
  await page.getByRole('button', { name: 'Take it back' }).click()
  const back = page.getByRole('dialog', { name: 'Take Tilda Rook’s place back' })
  await back.getByRole('button', { name: 'Take it back' }).click()
  await expect(back.getByRole('alert')).toHaveText('Say why in a few words: they are told.')
  await back.getByLabel('Why').fill('the water is off')
  await back.getByRole('button', { name: 'Take it back' }).click()
  await expect(chip).toHaveCount(0)
})
