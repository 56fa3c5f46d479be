import { visit } from './support/hand'
import { choose, expect, signIn, test } from './support/house'

const pages = [
  '/shelf',
  '/shelf/supply',
  '/sink',
  '/sink/lines',
  '/sink/spills',
  '/sink/checks',
  '/sink/year',
  '/exposures',
  '/people/training',
  '/training',
  '/sink/collections',
  '/sink/silver',
  '/sink/drain',
  '/trays',
  '/trays/stock',
  '/trays/line',
  '/trays/trainer',
  '/trays/toning',
  '/trays/coating',
  '/sink/facts',
  '/formulary',
  '/formulary/jars',
  '/formulary/chemicals',
  '/scales',
  '/proofs',
  '/proofs/rules',
  '/proofs/instruments',
  '/tanks',
  '/tanks/chart',
  '/tanks/bath',
  '/films',
  '/films/pairs',
  '/rota',
  '/rota/room',
  '/rota/weeks',
  '/rota/printing',
  '/formulary/kits',
  '/people',
  '/people/letters',
  '/practice',
  '/devices',
  '/formulary/jars/count',
  '/formulary/compare',
  '/formulary/new',
  '/settings',
]

test('in ounces and with a comma no page speaks of grams, litres or degrees Celsius', async ({ page, house }) => {
  test.setTimeout(300_000)
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
    await visit(page, at)
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

test('while the server is away no page says that nothing is there, and each recovers by itself', async ({ page, context }) => {
  // thirty pages, each asked for anew
  test.setTimeout(360_000)
  await signIn(page)
  const away = [
    '**/api/jars**',
    '**/api/bottles**',
    '**/api/formulas**',
    '**/api/runs**',
    '**/api/mixes**',
    '**/api/chart**',
    '**/api/rolls**',
    '**/api/instruments**',
    '**/api/devices**',
    '**/api/people**',
    '**/api/due-rules**',
    '**/api/waste**',
    '**/api/sink**',
    '**/api/drain**',
    '**/api/trays**',
    '**/api/trainer**',
    '**/api/swatches**',
    '**/api/coating**',
    '**/api/coated**',
    '**/api/prints**',
    '**/api/line**',
    '**/api/drums**',
    '**/api/pickups**',
    '**/api/recoveries**',
    '**/api/shelves**',
    '**/api/vessels**',
    '**/api/supply**',
    '**/api/proofs**',
    '**/api/processes**',
    '**/api/practices**',
    '**/api/permissions**',
    '**/api/orders**',
    '**/api/evenings**',
    '**/api/room**',
    '**/api/faults**',
    '**/api/weeks**',
    '**/api/printing**',
    '**/api/mail**',
    '**/api/trainings**',
    '**/api/exposures**',
    '**/api/fixtures**',
    '**/api/incidents**',
    '**/api/year**',
  ]
  for (const route of away) await context.route(route, (asked) => asked.abort())
  const [bottle, formula] = ['0198f000-0000-7000-8000-0000000000e1', '0198f000-0000-7000-8000-0000000000e2']
  const all = [
    '/shelf',
    '/shelf/supply',
    '/sink',
    '/sink/collections',
    '/sink/checks',
    '/sink/spills',
    '/sink/year',
    '/exposures',
    '/training',
    '/people/training',
    '/trays',
    '/trays/stock',
    '/trays/line',
    '/trays/trainer',
    '/trays/toning',
    '/trays/coating',
    `/trays/coated/${bottle}`,
    `/trays/ring/${bottle}`,
    `/trays/prints/${bottle}`,
    `/shelf/${bottle}`,
    '/formulary',
    `/formulary/${formula}/edit`,
    '/formulary/jars',
    '/formulary/jars/count',
    `/formulary/jars/${bottle}`,
    '/scales',
    `/scales/${bottle}`,
    '/proofs',
    '/proofs/rules',
    '/proofs/instruments',
    '/tanks',
    '/tanks/chart',
    '/films',
    '/rota',
    `/rota/orders/${bottle}`,
    `/rota/evenings/${bottle}`,
    `/rota/evenings/${bottle}/prep`,
    '/rota/room',
    '/rota/weeks',
    '/rota/printing',
    '/people',
    '/people/letters',
    `/people/${bottle}`,
    '/practice',
    '/devices',
    '/b/QQQ234',
  ]
  const empty =
    /nothing is due|0 on the shelf|none yet|no .* yet|carries the code|nothing yet|is empty|no tank is in use|nothing is being mixed|all in the jars|enough of everything|nothing was poured|nothing waits|rack is empty/i
  for (const path of all) {
    await page.goto(path)
    await expect(page.getByText(/Waiting for|Fetching|Looking for/).first(), path).toBeVisible()
    expect([path, empty.exec(await page.locator('main').innerText())?.[0] ?? '']).toEqual([path, ''])
    await expect(page.getByLabel('Name', { exact: true })).toBeHidden()
  }
  await page.goto('/formulary/jars')
  await expect(page.getByText(/Waiting for the jars/)).toBeVisible()
  for (const route of away) await context.unroute(route)
  await expect(page.getByText(/\d+ on the shelf/)).toBeVisible({ timeout: 20_000 })
})

test('what is typed survives: the end of the session, a failed reload, a key, a link, Escape and a reload of the page', async ({
  page,
  context,
  house,
}) => {
  await signIn(page, 'odo')
  await page.getByRole('link', { name: /^D4/ }).click()
  await page.getByRole('button', { name: 'Pour' }).first().click()
  const howMuch = page.getByLabel('How much', { exact: true })
  await howMuch.fill('120 ml')
  // someone ended the session: signing in lies on top and takes the focus
  await house.ask(`delete from session where person_id = (select id from person where login = 'odo') returning token_hash`)
  await page.getByRole('button', { name: 'Write it down' }).click()
  const again = page.getByRole('heading', { name: 'You were signed out' })
  await expect(again).toBeVisible()
  await expect(page.getByLabel('Password')).toBeFocused()
  await page.keyboard.type('tide-mill-loft')
  await page.keyboard.press('Enter')
  await expect(again).toBeHidden()
  await expect(howMuch).toHaveValue('120 ml')
  // Escape asks first
  await page.keyboard.press('Escape')
  await expect(page.getByText('What you typed here is not kept yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Go on typing' }).click()
  // a reload behind it that fails takes nothing away
  await context.route('**/api/bottles/*', (asked) => asked.abort())
  await house.ask(`update bottle set version = version + 1 where letter = 'D' and number = 4 returning id`)
  await expect(page.getByText(/This may be old/)).toBeAttached({ timeout: 15_000 })
  await expect(howMuch).toHaveValue('120 ml')
  await context.unroute('**/api/bottles/*')
  await page.getByRole('button', { name: 'Not now' }).click()
  // a station's key and a link ask; the draft comes back after a reload
  await page.goto('/formulary/new')
  await page.getByLabel('Name', { exact: true }).fill('Half a thought')
  await page.locator('main').focus()
  await page.keyboard.press('5')
  await expect(page.getByText('What you typed on this page is not kept yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Stay here' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half a thought')
  page.once('dialog', (dialog) => void dialog.accept())
  await page.reload()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half a thought')
  await page.getByRole('link', { name: /Tanks/ }).click()
  await page.getByRole('button', { name: 'Leave and drop it' }).click()
  await expect(page.getByRole('heading', { name: 'Tanks', exact: true })).toBeVisible()
})
