import { choose, expect, signIn, test } from './support/house'

const pages = [
  '/shelf',
  '/shelf/supply',
  '/shelf/waste',
  '/formulary',
  '/formulary/jars',
  '/formulary/chemicals',
  '/scales',
  '/proofs',
  '/proofs/rules',
  '/proofs/instruments',
  '/tanks',
  '/tanks/chart',
  '/films',
  '/people',
  '/devices',
  '/formulary/jars/count',
  '/formulary/compare',
  '/formulary/new',
  '/settings',
]

test('in ounces and with a comma no page speaks of grams, litres or degrees Celsius', async ({ page, house }) => {
  test.setTimeout(120_000)
  await signIn(page, 'maren')
  await page.goto('/settings')
  await choose(page, 'Units', 'oz, fl oz, °F')
  await choose(page, 'Decimal sign', /2,5/)
  await page.getByRole('button', { name: 'Keep mine' }).click()
  await expect(page.getByText('Your settings are kept.')).toBeVisible()
  const bottles = await house.ask<{ id: string }>('select id from bottle where retired_at is null order by id limit 12')
  const formulas = await house.ask<{ id: string }>('select id from formula order by id limit 12')
  const said: string[] = []
  for (const at of [...pages, ...bottles.map(({ id }) => `/shelf/${id}`), ...formulas.map(({ id }) => `/formulary/${id}`)]) {
    await page.goto(at)
    await expect(page.locator('h1').first()).toBeVisible()
    let text = ''
    // all its lists have come when nothing more is added
    await expect
      .poll(async () => {
        const before = text
        text = await page.locator('main').innerText()
        return text.length > 0 && text === before
      })
      .toBe(true)
    // what stands beside a field to say the same in the other system is meant for those who work in both
    const own = text.replace(/= [^\n]*/g, '').replace(/\b127\.0\.0\.1\b|Film in soft borax 1\+1, 20 °C|one litre/g, '')
    for (const [found] of own.matchAll(/.{0,40}(?:\d ?(?:g|ml|L|kg)\b(?!\/m)|°C|g\/L|\blitres?\b|\d\.\d).{0,20}/g))
      said.push(`${at}: ${found}`)
  }
  expect(said).toEqual([])
})

test('a bare number is in the unit that stands in the field, what was understood stands under it, and what has two meanings is asked', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/formulary')
  await page
    .getByRole('link', { name: /^Soft borax developer/ })
    .first()
    .click()
  const wanted = page.getByLabel('How much to mix')
  const means = async (typed: string, said: string) => {
    await wanted.fill(typed)
    await expect(page.getByText(said)).toBeVisible()
  }
  await means('2.3', '= 2.30 L')
  await means('600', '600 of what? Write 600 ml or 600 L.')
  await means('600 ml', '= 20.3 fl oz')
  await means('1.000 ml', '= 1 ml')
  await means('1,000 ml', '= 1.00 L')
  await means('11/2 L', 'Write it as a decimal.')
  await means('500 ml 2 ml', 'is not an amount')
  await means('2 qt', '= 1.89 L')
})

test('a mix forgives the hand: a slip is asked about, too much makes a larger batch with its water, what was written is put right, bottles are of any size', async ({
  page,
  house,
}) => {
  await signIn(page)
  await page.goto('/formulary')
  await page
    .getByRole('link', { name: /^Citric stop bath/ })
    .first()
    .click()
  await page.getByLabel('How much to mix').fill('1 L')
  await page.getByRole('button', { name: 'Mix it on the scales' }).click()
  await page.getByLabel('Measured, if you like').fill('55')
  await expect(page.getByText(/warmer than wanted/)).toBeVisible()
  await page.getByLabel('Measured, if you like').fill('25')
  await page.getByRole('button', { name: 'The water is ready' }).click()
  const says = page.getByLabel('The scale says')
  await says.fill('18 kg')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('18000 g is 1200 times the 15.0 g wanted')
  await expect(page.getByRole('button', { name: 'Write it again' })).toBeFocused()
  await page.keyboard.press('Enter')
  await says.fill('18 g')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Make 1.20 L instead' }).click()
  await expect(page.locator('[data-more-water]')).toHaveText(/ ml$/)
  await page.getByRole('button', { name: 'The water is in' }).click()
  await page.getByRole('button', { name: 'Dissolved, next' }).click()
  // it was 17.5 g after all: noticed when it was in already
  await page.getByRole('button', { name: '18.0 g of Citric acid, anhydrous are in: put it right' }).click()
  await page.getByLabel('Was written').fill('17.5')
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByRole('button', { name: '17.5 g of Citric acid, anhydrous are in: put it right' })).toBeVisible()
  await page.getByRole('button', { name: 'Topped up' }).click()
  await page.getByLabel('How many bottles').fill('1')
  await page.getByLabel('Size of each').fill('1 L')
  await page.getByRole('button', { name: 'Bottles of another size as well' }).click()
  await expect(page.getByText('1.00 L · 200 ml')).toBeVisible()
  await page.getByRole('button', { name: 'Put them on the shelf' }).click()
  await expect(page.getByText('This mix is bottled and on the shelf.')).toBeVisible()
  const [taken] = await house.ask<{ grams: string }>(`select grams from jar_entry where kind = 'consume' order by at desc, id desc limit 1`)
  expect(Number(taken?.grams)).toBe(-17.5)
  // the pH that was forgotten is written afterwards
  await page.getByRole('button', { name: 'Write it down' }).click()
  await page.getByLabel('pH', { exact: true }).fill('2.2')
  await page.getByLabel('at', { exact: true }).fill('21')
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByText(/Measured pH 2.20 at 21.0 °C/)).toBeVisible()
})
