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
  await signIn(page)
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
  await means('600 ml', '= 600 ml')
  await means('1.000 ml', '= 1 ml')
  await means('1,000 ml', '= 1.00 L')
  await means('11/2 L', 'Write it as a decimal.')
  await means('500 ml 2 ml', 'is not an amount')
  await means('2 qt', '= 1.89 L')
})
