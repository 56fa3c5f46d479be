import { choose, doNext, expect, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

test('weighing with the bench scale: the needle moves, a steady weight is taken, a lost scale is typed for, a second person looks', async ({
  page,
  browser,
  house,
}) => {
  test.setTimeout(120_000)
  await house.ask(`update darkroom set second_check = true, version = version + 1`)
  await signIn(page)
  await page.goto('/formulary')
  await page.getByRole('link', { name: /^Buffered borax developer/ }).click()
  await expect(page.getByText(/The jar holds Borax, 10-water, not Borax, 5-water/)).toBeVisible()
  await page.getByRole('button', { name: 'Mix it on the scales' }).click()

  await test.step('the water from the taps of the day', async () => {
    await page.getByLabel('Hot tap today').fill('84')
    await page.getByLabel('Cold tap today').fill('8')
    await expect(page.locator('[data-blend]')).toContainText('414 ml hot + 336 ml cold')
    await page.getByLabel('Hot tap today').fill('45')
    await expect(page.getByText(/cannot be mixed from taps/)).toBeVisible()
    await page.getByLabel('Hot tap today').fill('60')
    await doNext(page)
  })

  await test.step('pour until the scale is content', async () => {
    await expect(page.getByRole('heading', { name: 'Sodium sulfite, anhydrous' })).toBeVisible()
    await page.getByText('Demo: pour powder').click()
    await page.getByRole('button', { name: 'Most of it' }).click()
    // the scale's last digit trembles
    await expect(page.locator('[data-needle]')).toContainText(/2\.(09|1)/)
    await expect(page.getByText(/to go/)).toBeVisible()
    await page.getByRole('button', { name: 'All that lacks' }).click()
    await expect(page.getByText('Stir until it is clear')).toBeVisible()
    await page.keyboard.press('Space')
  })

  await test.step('what is left on the pan does not count; tare; then a second person', async () => {
    await expect(page.getByRole('heading', { name: 'Metol' })).toBeVisible()
    await expect(page.getByText(/The pan still holds/)).toBeVisible()
    await page.getByRole('button', { name: 'Tare' }).click()
    await expect(page.getByText(/a steady weight in the band is taken/)).toBeVisible()
    await page.getByText('Demo: pour powder').click()
    await page.getByLabel('This much').fill('2.4 g')
    await page.getByRole('button', { name: 'Pour', exact: true }).click()
    await expect(page.getByText('Take a little off')).toBeVisible()
    await page.getByRole('button', { name: 'Empty the pan' }).click()
    // an empty pan shows what is wanted instead of the needle's figure; its picture says nothing is on it
    await expect(page.getByRole('img', { name: /^0\.0\d* g of 2\.00 g/ })).toBeVisible()
    await page.getByLabel('This much').fill('2 g')
    await page.getByRole('button', { name: 'Pour', exact: true }).click()
    await expect(page.getByRole('heading', { name: 'A second person looks' })).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    await page.getByLabel('Their sign-in name').fill('ilse')
    await page.getByLabel('Their password').fill('tide-mill-loft')
    await page.getByRole('button', { name: 'It is right' }).click()
    await expect(page.getByText(/cannot be the second pair of eyes/)).toBeVisible()
    const other = await browser.newContext({ baseURL: house.url })
    const odo = await other.newPage()
    await signIn(odo, 'odo')
    await odo.goto(page.url())
    await odo.getByRole('button', { name: 'I have looked: it is right' }).click()
    await other.close()
    await expect(page.getByText('Stir until it is clear')).toBeVisible()
    await page.keyboard.press('Space')
  })

  await test.step('the scale is unplugged: typing goes on at the same step', async () => {
    await expect(page.getByRole('heading', { name: 'Sodium sulfite, anhydrous' })).toBeVisible()
    await house.ask(`update device set port = 9, version = version + 1 where kind = 'scale'`)
    await expect(page.getByText('Bench scale does not answer.')).toBeVisible()
    await page.getByLabel('The scale says').fill('97')
    await page.getByRole('button', { name: 'It is in' }).click()
    await expect(page.getByText('Stir until it is clear')).toBeVisible()
    await page.keyboard.press('Space')
  })

  await test.step('the rest, by its own weights, and a pH that cannot be', async () => {
    await page.getByLabel('The scale says').fill('5')
    await page.getByRole('button', { name: 'It is in' }).click()
    await page.getByLabel('Their sign-in name').fill('maren')
    await page.getByLabel('Their password').fill('tide-mill-loft')
    await page.getByRole('button', { name: 'It is right' }).click()
    await page.getByRole('button', { name: 'Dissolved, next' }).click()
    await expect(page.getByRole('heading', { name: 'Borax, 10-water' })).toBeVisible()
    for (const grams of ['7.86', '8']) {
      await page.getByLabel('The scale says').fill(grams)
      await page.getByRole('button', { name: 'It is in' }).click()
      await page.getByRole('button', { name: 'Dissolved, next' }).click()
    }
    await doNext(page)
    await page.getByLabel('pH, if measured').fill('9.1')
    await expect(page.getByText(/Would explain it: Boric acid left out/)).toBeVisible()
    await page.getByLabel('pH, if measured').fill('8.5')
    await page.getByLabel('How many bottles').fill('2')
    await page.getByLabel('Size of each').fill('500 ml')
    await doNext(page)
    const row = page.getByRole('row', { name: /Metol/ })
    await expect(row).toContainText('Bench scale')
    await expect(row).toContainText('Odo Brackwater')
    await expect(page.getByRole('row', { name: /Borax, 10-water/ })).toContainText('26-')
  })
  await house.ask(`update darkroom set second_check = false, version = version + 1`)
})

test('jars: two edit one, a count that was overtaken, a safety sheet, and a scanned label opens it', async ({ page, browser, house }) => {
  await signIn(page)
  await page.goto('/formulary/jars')
  await expect(page.getByRole('heading', { name: 'To order' })).toBeVisible()
  await expect(page.getByText(/Pyrogallol and Silver nitrate do not stand together/)).toBeVisible()
  // as a list they are put in order by a head and found in, and the page keeps how it was looked at
  await page.getByRole('button', { name: 'As a list' }).click()
  const list = page.getByRole('region', { name: 'Jars' })
  const grams = () => list.locator('tbody tr[data-index] td:first-of-type').allInnerTexts()
  await list.getByRole('button', { name: 'Holds' }).click()
  const head = list.getByRole('columnheader', { name: /^Holds/ })
  await expect(head).toHaveAttribute('aria-sort', /ending$/)
  const shown = (await grams()).map((text) => Number.parseFloat(text.replace('▲ order', '')))
  const way = (await head.getAttribute('aria-sort')) === 'ascending' ? 1 : -1
  expect(shown.length).toBeGreaterThan(8)
  expect(shown).toEqual([...shown].sort((a, b) => way * (a - b)))
  await page.getByLabel('Find a jar').fill('silver nitrate')
  await expect(list.locator('tbody tr[data-index]')).toHaveCount(1)
  expect(await seriousFaults(page)).toEqual([])
  await page.reload()
  await expect(list.getByRole('link', { name: 'Silver nitrate' })).toBeVisible()
  await page.getByLabel('Find a jar').fill('')
  await page.getByRole('button', { name: 'As they stand' }).click()
  await page.getByRole('link', { name: /^Hydroquinone/ }).click()
  await expect(page.getByText(/Enough for \d+ more batches of/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Edit' }).click()

  const other = await browser.newContext({ baseURL: house.url })
  const odo = await other.newPage()
  await signIn(odo, 'odo')
  await odo.goto(page.url())
  await odo.getByRole('button', { name: 'Edit' }).click()
  await odo.getByLabel('Place').fill('lower cabinet')
  await odo.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(odo.getByText(/lower cabinet/)).toBeVisible()

  await page.getByLabel('Lot').fill('27-A')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  const both = page.getByRole('table', { name: 'Both versions' })
  await expect(both.getByRole('row', { name: /Place/ })).toContainText('lower cabinet')
  await expect(both.getByRole('row', { name: /Lot/ })).toContainText('27-A')
  await page.getByRole('button', { name: 'Keep mine' }).click()
  await expect(page.getByText(/lot 27-A · upper cabinet/)).toBeVisible()
  await expect(odo.getByText(/lot 27-A · upper cabinet/)).toBeVisible()

  await page
    .getByLabel('Safety sheet file')
    .setInputFiles({ name: 'sheet.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.4 sheet') })
  await expect(page.getByRole('link', { name: 'sheet.pdf' })).toBeVisible()
  await page.getByLabel('Safety sheet file').setInputFiles({ name: 'x.pdf', mimeType: 'application/pdf', buffer: Buffer.from('no sheet') })
  await expect(page.getByText(/neither a PDF/)).toBeVisible()

  await page.goto('/formulary/jars/count')
  const name = (await page.locator('h1').textContent())?.trim() ?? ''
  await page.getByRole('button', { name: 'It looks right, next' }).click()
  await expect(page.getByText('jar 2 of')).toBeVisible()
  const [counted] = await house.ask<{ n: string }>(
    `select count(*) as n from jar_entry where kind = 'correct' and note = 'stock-take' and grams = 0`,
  )
  expect([name.length > 0, Number(counted?.n)]).toEqual([true, 1])

  const [jar] = await house.ask<{ code: string }>(`select code from jar where chemical = 'thiourea'`)
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /Name, label, code/ }).fill(`${house.url}/b/${jar?.code}`)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Thiourea', level: 1 })).toBeVisible()
  const [bottle] = await house.ask<{ code: string; label: string }>(
    `select code, letter || number as label from bottle where retired_at is null order by letter desc, number desc limit 1`,
  )
  await page.goto(`/b/${bottle?.code}`)
  await expect(page.getByRole('heading', { name: bottle?.label ?? '', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Print its label' }).click()
  await choose(page, 'On', /24 labels/)
  const address = await page.getByRole('link', { name: 'Open the PDF' }).getAttribute('href')
  const pdf = await page.request.get(address ?? '')
  expect([pdf.status(), pdf.headers()['content-type'], (await pdf.body()).subarray(0, 5).toString()]).toEqual([
    200,
    'application/pdf',
    '%PDF-',
  ])
  await other.close()
})

test('files: a chart of 10,000 lines is shown before it is written, can be dropped, and is written whole', async ({ page, house }) => {
  test.setTimeout(300_000)
  const slowly = { timeout: 60_000 }
  await signIn(page)
  await page.goto('/formulary/exchange?kind=chart')
  const lines = Array.from({ length: 9_998 }, (_, i) => `Film ${i},Soft borax developer,1+1,100,20 °C,${6 + (i % 9)}:30`)
  const csv = [
    'film,formula,dilution,ei,temperature,time',
    'Millrace 400,Soft borax developer,1+1,400,68 °F,10:45',
    'Lost,Nobody’s developer,1+1,100,20,9:30',
    ...lines,
  ].join('\n')
  const file = { name: 'chart.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) }
  await page.getByLabel('File to read').setInputFiles(file)
  await expect(page.getByRole('button', { name: 'Write 9999 lines, leave 1 out' })).toBeVisible(slowly)
  await expect(page.getByText('There is no formula “Nobody’s developer” here')).toBeVisible()
  await page.getByRole('button', { name: /^Changes 1/ }).click()
  await expect(page.getByText('10:30')).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  const rows = async () => Number((await house.ask<{ n: string }>(`select count(*) as n from chart_row where film like 'Film %'`))[0]?.n)

  // the third portion is held back, so that there is time to change one's mind
  let portions = 0
  await page.route('**/api/imports/*/rows', async (route) => {
    portions += 1
    if (portions === 3) await page.getByRole('button', { name: 'Stop', exact: true }).click()
    await route.continue()
  })
  await page.getByRole('button', { name: /^Write 9999/ }).click()
  await expect(page.getByText('Stopped: nothing was written.')).toBeVisible(slowly)
  expect([portions, await rows()]).toEqual([3, 0])
  await page.unroute('**/api/imports/*/rows')
  await page.getByRole('button', { name: /^Write 9999/ }).click()
  await expect(page.getByText('9999 lines are written.')).toBeVisible(slowly)
  expect(await rows()).toBe(9998)
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as JSON' }).click()
  expect((await saved).suggestedFilename()).toMatch(/^chart-.*\.json$/)

  // on the wall only what is in sight is there, to the last of them, and its heads stay
  await page.goto('/tanks/chart')
  const wall = page.getByRole('region', { name: 'Wall chart' })
  await expect(wall.getByRole('table')).toHaveAttribute('aria-rowcount', /^10\d{3}$/, slowly)
  const inSight = wall.locator('tbody tr[data-index]')
  expect(await inSight.count()).toBeLessThan(60)
  await wall.evaluate((box) => (box.scrollTop = box.scrollHeight / 2))
  await expect(inSight.filter({ hasText: /Film [45]\d{3}/ }).first()).toBeVisible()
  await expect(wall.getByRole('columnheader', { name: 'Soft borax developer 1+1', exact: true })).toBeInViewport()
  // on paper all of them are there
  await page.evaluate(() =>
    Object.assign(window, { print: () => (document.title = String(document.querySelectorAll('tbody tr[data-index]').length)) }),
  )
  await page.getByRole('button', { name: 'Print it' }).click()
  await expect.poll(() => page.title().then(Number), slowly).toBeGreaterThan(10_000)
  await expect.poll(() => inSight.count(), slowly).toBeLessThan(60)
  await wall.getByRole('button', { name: 'Film', exact: true }).click()
  await wall.getByRole('button', { name: 'Film', exact: true }).click()
  await wall.evaluate((box) => (box.scrollTop = 0))
  await expect(inSight.first()).toContainText('Saltpan 50', slowly)
  await house.ask(`delete from chart_row where film like 'Film %'`)
})

test('a formula’s pH answers what-if, its curves stand beside another’s, and two formulas lie side by side', async ({ page }) => {
  await signIn(page)
  await page.goto('/formulary')
  await page.getByRole('link', { name: /^Loft print developer/ }).click()
  await expect(page.getByText(/Sodium carbonate, 10-water taken for Sodium carbonate, 1-water/)).toBeVisible()
  const now = page.locator('[data-what-if]')
  await expect(now).toHaveText('10.48')
  await page.getByRole('slider').focus()
  for (let i = 0; i < 60; i++) await page.keyboard.press('ArrowLeft')
  await expect(now).not.toHaveText('10.48')
  expect(Number(await now.textContent())).toBeLessThan(10.4)
  await choose(page, 'Beside it', 'Soft borax developer')
  await expect(page.locator('[data-ready]').nth(1).getByText('Soft borax developer')).toBeVisible()
  await page.getByRole('link', { name: 'Compare' }).click()
  await expect(page.getByRole('button', { name: /^One formula/ })).toBeVisible()
  await choose(page, 'Beside it', 'Warm print developer')
  await expect(page.getByRole('row', { name: /Metol/ })).toHaveAttribute('data-differs', 'true')
  await expect(page.getByRole('row', { name: /Predicted pH/ })).toContainText('10.48')
})

test('a finding offers its repair while a formula is written, and parts are poured together', async ({ page }) => {
  await signIn(page)
  await page.goto('/formulary/new')
  await page.getByLabel('Name').fill('Backwards')
  await choose(page, 'Family', 'Film developers')
  await choose(page, 'Chemical', 'Hydroquinone')
  await page.getByLabel('Amount').fill('5 g')
  await page.getByRole('button', { name: 'Add a chemical' }).click()
  await page.getByRole('button', { name: /^Chemical Choose/ }).click()
  await page.getByRole('option', { name: 'Sodium sulfite, anhydrous' }).click()
  await page.getByLabel('Amount').nth(1).fill('50 g')
  await expect(page.getByText(/goes in before the sulfite that protects it/)).toBeVisible()
  await page.getByRole('button', { name: 'Move it to step 2' }).click()
  await expect(page.getByText(/goes in before the sulfite that protects it/)).toBeHidden()
  await expect(page.getByLabel('Amount').first()).toHaveValue('50 g')
  await page.getByRole('button', { name: 'Keep the formula' }).click()
  await expect(page.getByRole('heading', { name: 'Backwards' })).toBeVisible()

  await page.goto('/formulary')
  await page.getByRole('link', { name: /^Sepia toner, working/ }).click()
  await choose(page, 'Ratio', '1+4+10')
  await expect(page.getByText('267 ml')).toBeVisible()
  await page.getByRole('button', { name: 'Poured together' }).click()
  await expect(page.getByRole('heading', { name: 'Ledger' })).toBeVisible()
  await expect(page.getByText('Sepia toner, working').first()).toBeVisible()
})
