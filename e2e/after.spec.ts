import { choose, expect, signIn, test } from './support/house'

test('a film is sleeved and handed back, said how it came out with advice, and followed to its baths and back', async ({ page, house }) => {
  // its evening is just over, whatever the clock says
  await house.ask(
    `update roll set hung_at = now() - interval '3.5 hours', dryer = 'air', hanger = 1, sleeved_at = null, sleeve = null, handed_at = null, version = version + 1
     where id = (select id from roll where not taken_back order by id desc limit 1) returning id`,
  )
  await signIn(page)
  await page.goto('/tanks')
  const hanging = page.getByRole('region', { name: 'Hanging' })
  await expect(hanging.getByText('Hangs on 1, dry: to cut and sleeve')).toBeVisible()
  await hanging
    .getByRole('button', { name: /^Cut and sleeve/ })
    .first()
    .click()
  await page.getByLabel('On the sleeve').fill('26-031')
  await page.getByRole('button', { name: 'It is in its sleeve' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await hanging.getByRole('link', { name: /for (its|their) owner/ }).click()
  await expect(page.getByText(/^Sleeve 26-031, strips of \d, in its owner’s place$/)).toBeVisible()
  await page
    .getByRole('button', { name: /handed back$/ })
    .first()
    .click()
  await expect(page.getByText(/^Sleeve 26-031/)).toHaveCount(0)

  await page.goto('/films')
  const card = page.getByRole('main').getByRole('listitem').first()
  await card.getByRole('button', { name: 'dense' }).click()
  await card.getByRole('button', { name: 'hard' }).click()
  await card.getByText('Something is seen on it').click()
  await card.getByRole('button', { name: 'streaks' }).click()
  const advice = card.getByRole('list', { name: 'Advice' })
  await expect(advice.getByText(/developed too far/)).toBeVisible()
  await expect(advice.getByText(/agitated/)).toBeVisible()
  await card.getByRole('button', { name: 'Keep' }).click()
  await expect(card.getByRole('button', { name: 'Keep' })).toBeDisabled()
  await card.getByRole('link', { name: /follow it to its baths/ }).click()
  const baths = page.getByRole('region', { name: 'Baths' })
  await expect(baths.getByText(/has something wrong\.|have something wrong\./).first()).toBeVisible()
  const [first] = await baths.getByRole('link', { name: /^Follow / }).all()
  const named = ((await first?.textContent()) ?? '').trim()
  await first?.click()
  await expect(page.getByRole('heading', { level: 1, name: named })).toBeVisible()
  await expect(
    page
      .getByRole('region', { name: 'Films' })
      .getByText(/▲.*streaks|streaks/)
      .first(),
  ).toBeVisible()
})

test('films that came out hard propose a shorter time, which a hand takes into the chart', async ({ page }) => {
  await signIn(page)
  await page.goto('/films/pairs')
  await expect(page.getByText(/could be better/)).toBeVisible()
  await page
    .getByRole('button', { name: /look at the proposed time/ })
    .first()
    .click()
  const dialog = page.getByRole('dialog')
  const film = ((await dialog.getByRole('heading').first().textContent()) ?? '').split(',')[0] ?? ''
  const proposed = ((await dialog.getByRole('row').nth(1).getByRole('cell').nth(1).textContent()) ?? '').trim()
  await dialog.getByRole('button', { name: 'Take it into the chart' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText(/Nothing speaks against a charted time/)).toBeVisible()
  await page.goto(`/tanks/chart?film=${encodeURIComponent(film)}`)
  await expect(page.getByRole('main').getByText(proposed).first()).toBeVisible()
})

test('a kit is written down and mixed: its baths stand together with one count', async ({ page, house }) => {
  await signIn(page)
  await page.goto('/formulary/kits')
  const demo = page.getByRole('region', { name: 'Loft colour negative kit' })
  await expect(demo.getByRole('heading', { name: 'Kit 1' })).toBeVisible()
  await page.getByRole('button', { name: 'Write down a kit' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name', { exact: true }).fill('Evening kit')
  await dialog.getByRole('button', { name: /Formula of bath 1/ }).click()
  await page.getByRole('option', { name: 'Citric stop bath' }).click()
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await expect(dialog.getByText('Write how many rolls it is good for.')).toBeVisible()
  await dialog.getByLabel('Rolls it is good for').fill('8; 400: 6')
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await expect(dialog).toHaveCount(0)
  const mine = page.getByRole('region', { name: 'Evening kit' })
  await expect(mine.getByText('Good for 8 rolls, of film at EI 400 or more 6.')).toBeVisible()
  await mine.getByRole('button', { name: 'Mix one: Evening kit' }).click()
  // the demo has two
  await expect(mine.getByRole('heading', { name: 'Kit 3' })).toBeVisible()
  await mine.getByRole('link', { name: 'Mix it: Citric stop bath of kit 3' }).click()
  await page.getByRole('button', { name: 'Mix it on the scales' }).click()
  await expect(page).toHaveURL(/\/scales\//)
  await page.goto('/formulary/kits')
  await expect(mine.getByRole('link', { name: 'at the scales' })).toBeVisible()
  const [row] = await house.ask<{ number: number }>('select s.number from mix m join kit_set s on s.id = m.kit_set_id')
  expect(row?.number).toBe(3)
})

test('a film that is chosen before its process has come has its exposure index all the same', async ({ page }) => {
  await signIn(page)
  let come = (): void => undefined
  const coming = new Promise<void>((resolve) => (come = resolve))
  await page.route('**/api/processes*', async (route) => {
    await coming
    await route.continue()
  })
  await page.goto('/tanks/plan')
  await choose(page, 'Film', 'Millrace 400')
  await expect(page.getByRole('button', { name: /^Exposed at/ })).toHaveText('Choose …')
  come()
  await expect(page.getByRole('button', { name: /^Exposed at/ })).toHaveText(/EI \d+/)
})

test('densities of a grey card are kept with their film and say what to change', async ({ page }) => {
  await signIn(page)
  await page.goto('/films')
  // advice on a film is a list in its card: cards are told from it by their ids
  const card = page.locator('li[id^="film-"]').nth(2)
  await card.getByRole('button', { name: /^Read its densities/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Four stops under, net D').fill('0,04')
  await dialog.getByLabel('Three stops over, net D').fill('14')
  await expect(dialog.getByText('Write a density from 0 to 4, such as 0.10.')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Keep them' })).toBeDisabled()
  await dialog.getByLabel('Three stops over, net D').fill('1.5')
  await expect(dialog.getByText(/a lower exposure index/)).toBeVisible()
  await dialog.getByRole('button', { name: 'Keep them' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(card.getByText('Net densities: four stops under 0.04, three stops over 1.50.')).toBeVisible()
  await expect(card.getByText(/1\.50, not in 1\.25 to 1\.35.*less time/)).toBeVisible()
})
