import { test as plain } from '@playwright/test'
import { choose, doNext, expect, startHouse } from './support/house'
import { seriousFaults } from './support/look'

plain('a darkroom of one’s own, from the first code to the beakers, without the demo', async ({ page }) => {
  plain.setTimeout(120_000)
  const house = await startHouse('house', 'own')
  await page.goto(`${house.url}/`)
  await expect(page.getByRole('heading', { name: 'Make the first technician' })).toBeVisible()
  await expect(page.getByText('This is the demo')).toHaveCount(0)
  await page.getByLabel('Your name').fill('Ada Weir')
  await page.getByLabel('One-time code').fill('WRONGCODE')
  await page.getByLabel('Sign-in name').fill('ada')
  await page.getByLabel(/New password/).fill('a loft full of reels')
  await page.getByRole('button', { name: 'Set it and enter' }).click()
  await expect(page.getByRole('alert')).toContainText('not the code')
  await expect(page.getByLabel('Your name')).toHaveValue('Ada Weir')
  await page.getByLabel('One-time code').fill(house.firstCode ?? '')
  await page.getByRole('button', { name: 'Set it and enter' }).click()
  await expect(page.getByText('The shelf is empty.')).toBeVisible()

  await plain.step('write a developer and a fixer', async () => {
    for (const [name, family, chemical, amount, school] of [
      ['Plain metol developer', 'Film developers', 'Metol', '7.5 g', 'Used once'],
      ['House fixer', 'Fixers', 'Ammonium thiosulfate, 60 % solution', '185 ml', 'Counted'],
    ] as const) {
      await page.keyboard.press('2')
      await page.getByRole('link', { name: 'Write a new formula' }).click()
      await page.getByLabel('Name').fill(name)
      await choose(page, 'Family', family)
      await page.getByLabel('Start with water').fill('600 ml')
      await choose(page, 'Chemical', chemical)
      await page.getByLabel('Amount').fill(amount)
      await choose(page, 'School', new RegExp(school))
      if (school === 'Counted') await page.getByLabel('Rolls a litre').fill('24')
      else await page.getByLabel('Least stock per roll').fill('80 ml')
      await page.getByRole('button', { name: 'Save the formula' }).click()
      await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
    }
  })

  await plain.step('put a jar on the shelf, mix from it and see it go down', async () => {
    await page.keyboard.press('2')
    await page.getByRole('link', { name: 'Jars' }).click()
    await choose(page, 'Chemical', 'Metol')
    await expect(page.getByText(/May cause a skin allergy/)).toBeVisible()
    await page.getByLabel('Holds').fill('1/4 kg')
    await page.getByRole('button', { name: 'Put it on the shelf' }).click()
    await expect(page.getByText('250.0 g')).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    for (const [name, amount] of [
      ['Plain metol developer', '7.5'],
      ['House fixer', '185'],
    ] as const) {
      await page.keyboard.press('3')
      await page.getByRole('link', { name }).click()
      await page.getByRole('button', { name: 'Mix it on the scales' }).click()
      await doNext(page)
      await page.getByLabel(/The (scale|graduate) says/).fill(amount)
      await page.getByRole('button', { name: 'It is in' }).click()
      await page.getByRole('button', { name: 'Dissolved, next' }).click()
      await doNext(page, 'Topped up')
      await doNext(page, 'Put it on the shelf')
      await expect(page.getByRole('heading', { name: 'Ledger' })).toBeVisible()
    }
    await page.goto(`${house.url}/formulary/jars`)
    await expect(page.getByText('242.5 g')).toBeVisible()
  })

  await plain.step('add a tank and a charted time, and plan a run with a water stop', async () => {
    await page.keyboard.press('5')
    await page.getByRole('button', { name: 'Add a tank' }).click()
    await page.getByLabel('Name').fill('Loft tank')
    await page.getByLabel('What covers 1, 2, … films').fill('300, 20 oz')
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText(/can mean two things/)).toBeVisible()
    await page.getByLabel('What covers 1, 2, … films').fill('300 ml, 20 fl oz')
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText('Loft tank')).toBeVisible()
    await page.getByRole('link', { name: 'Development chart' }).click()
    await page.getByLabel('Film', { exact: true }).fill('Saltpan 50')
    await choose(page, 'Developer', 'Plain metol developer')
    await page.getByLabel('Dilution').fill('stock')
    await page.getByLabel('EI').fill('50')
    await page.getByLabel('Time').fill('9.5')
    await expect(page.getByText(/may be minutes or seconds/)).toBeVisible()
    await page.getByLabel('Time').fill('9:30')
    await page.getByRole('button', { name: 'Add it to the chart' }).click()
    await expect(page.getByRole('cell', { name: '9:30' })).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    await page.keyboard.press('5')
    await page.getByRole('link', { name: 'Plan a run' }).click()
    await choose(page, 'Film', 'Saltpan 50')
    await choose(page, 'Owner of film 1', 'Ada Weir')
    await expect(page.locator('[data-time]')).toHaveText('9:30')
    await expect(page.getByText('Water stop').first()).toBeVisible()
    await doNext(page, 'To the beakers')
    await expect(page.getByRole('heading', { name: 'Run 1, Loft tank' })).toBeVisible()
    await page.getByRole('button', { name: 'Drop run 1' }).click()
    await page.getByLabel('Why?').fill('only a rehearsal')
    await page.getByRole('button', { name: 'Drop it' }).click()
    await expect(page.getByText('No tank is in use.')).toBeVisible()
  })
  await house.stop()
})
