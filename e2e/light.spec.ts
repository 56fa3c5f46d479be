import type { Page } from '@playwright/test'
import { visit } from './support/hand'
import { choose, doNext, expect, signIn, test, type House } from './support/house'
import { greenOrBluePixel, redPixels, seriousFaults } from './support/look'

async function allRed(page: Page, where: string): Promise<void> {
  expect([where, await greenOrBluePixel(page)]).toEqual([where, null])
  expect([where, (await redPixels(page)) > 500]).toEqual([where, true])
}

/** Signs in and goes under the safelight. */
async function underSafelight(page: Page): Promise<void> {
  await signIn(page)
  await page.keyboard.press('l')
  await expect(page.locator('html')).toHaveAttribute('data-light', 'safelight')
}

/** The id of the first row of an answer. */
async function one(house: House, sql: string, values: unknown[] = []): Promise<string> {
  const [row] = await house.ask<{ id: string }>(sql, values)
  expect(row).toBeDefined()
  return row?.id ?? ''
}
const formula = (house: House, name: string) =>
  one(house, `select formula_id as id from formula_version where body ->> 'name' = $1`, [name])

async function everyPageRed(page: Page, paths: string[]): Promise<void> {
  for (const path of paths) {
    await visit(page, path)
    await expect(page.locator('h1').first()).toBeVisible()
    await allRed(page, path)
  }
}

test.describe('safelight: every pixel is black or red', () => {
  test('on the way in, with a menu open', async ({ page }) => {
    await underSafelight(page)
    await expect(page.getByText('A screen is no tested safelight')).toBeVisible()
    await expect(page.getByText('Not full screen')).toBeVisible()
    await allRed(page, 'shelf')
    expect(await seriousFaults(page)).toEqual([])
    await page.getByRole('button', { name: /On duty/ }).click()
    await expect(page.getByRole('menuitem', { name: 'Settings' })).toBeVisible()
    await allRed(page, 'menu')
    await page.getByRole('menuitem', { name: 'People' }).click()
    await expect(page.getByText('Tilda Rook')).toBeVisible()
    await allRed(page, 'people')
  })

  test('on Shelf and Formulary, curves of pH too', async ({ page, house }) => {
    const bottle = await one(house, 'select bottle_id as id from bottle_entry where run_id is not null order by at desc limit 1')
    const print = await one(house, `select id from sheet where not done and title <> 'Breakfast in the loft' limit 1`)
    const colour = await one(house, `select id from sheet where title = 'Breakfast in the loft'`)
    const coated = await one(house, 'select id from coated where ended_at is null limit 1')
    const jar = await one(house, `select id from jar where chemical = 'silver-nitrate'`)
    const [fixer, developer, parts] = [
      await formula(house, 'Acid hardening fixer'),
      await formula(house, 'Soft borax developer'),
      await formula(house, 'Sepia toner, working'),
    ]
    await underSafelight(page)
    await everyPageRed(page, [
      `/shelf/${bottle}`,
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
      `/trays/prints/${print}`,
      `/trays/timer/${print}`,
      `/trays/prints/${colour}`,
      `/trays/ring/${colour}`,
      '/trays/trainer',
      '/trays/toning',
      '/trays/coating',
      `/trays/coated/${coated}`,
      '/sink/facts',
      '/formulary',
      `/formulary/${fixer}`,
      '/formulary/jars',
      '/formulary/chemicals',
      `/formulary/jars/${jar}`,
      '/formulary/jars/count',
      `/formulary/compare?one=${fixer}&other=${developer}`,
      '/formulary/exchange',
      `/formulary/${parts}`,
    ])
    await page.goto(`/formulary/${developer}`)
    await expect(page.locator('[data-ready]').first()).toBeVisible()
    await page.locator('[data-ready]').first().scrollIntoViewIfNeeded()
    await allRed(page, 'curves of pH')
  })

  test('on Scales, Proofs, Tanks, and what belongs to people', async ({ page, house }) => {
    const fixer = await one(house, `select bottle_id as id from proof where kind = 'clearing-time' order by at desc limit 1`)
    const control = await one(house, `select id from instrument where kind = 'process'`)
    const run = await one(house, 'select id from run order by number desc limit 1')
    const order = await one(house, 'select id from film_order order by number desc limit 1')
    const member = await one(house, `select id from person where login = 'tilda'`)
    const evening = await one(house, 'select id from evening limit 1')
    await underSafelight(page)
    await everyPageRed(page, [
      '/scales',
      '/proofs',
      `/proofs/clearing-time/${fixer}`,
      `/proofs/process/${control}`,
      '/proofs/instruments',
      '/proofs/rules',
      '/practice',
      '/tanks',
      `/tanks/${run}`,
      '/films',
      '/rota',
      `/rota/orders/${order}`,
      `/rota/evenings/${evening}`,
      `/rota/evenings/${evening}/prep`,
      '/rota/room',
      '/rota/weeks',
      '/rota/printing',
      `/people/${member}`,
      '/people/letters',
      '/devices',
      '/settings',
    ])
  })

  test('with a field in error, its text selected, and at the scales', async ({ page, house }) => {
    const fixer = await formula(house, 'Acid hardening fixer')
    await underSafelight(page)
    await page.goto(`/formulary/${fixer}`)
    await page.getByLabel('How much to mix').fill('1,000')
    await expect(page.getByRole('alert')).toBeVisible()
    await page.getByLabel('How much to mix').selectText()
    await allRed(page, 'field in error, text selected')
    await page.getByLabel('How much to mix').fill('1 L')
    await page.getByRole('button', { name: 'Mix it on the scales' }).click()
    await page.locator('[data-next]').click()
    await expect(page.getByRole('heading', { name: 'Sodium thiosulfate, crystals' })).toBeVisible()
    await page.getByLabel('The scale says').fill('300')
    await page.getByRole('button', { name: 'It is in' }).click()
    await expect(page.getByText('too much')).toBeVisible()
    await allRed(page, 'mix, too much in')
  })

  test('from a plan to the clock, with a list and a dialog open', async ({ page }) => {
    await underSafelight(page)
    await page.goto('/tanks/plan')
    await choose(page, 'Film', 'Millrace 100')
    await page.getByRole('button', { name: /^Developer\b/ }).click()
    await expect(page.getByRole('option').first()).toBeVisible()
    await allRed(page, 'plan, list open')
    await page.keyboard.press('Escape')
    await page.getByLabel('Developer, measured').fill('warm')
    await allRed(page, 'plan, field in error')
    await page.getByLabel('Developer, measured').fill('20')
    await choose(page, 'Owner of film 1', 'Nell Saltmarsh')
    await choose(page, 'Developer', /Strong aminophenol concentrate, 1\+50/)
    await choose(page, 'Fixer', /Rapid fixer concentrate, 1\+4/)
    await allRed(page, 'plan worked out')
    await doNext(page, 'To the beakers')
    await allRed(page, 'beakers')
    await doNext(page)
    await expect(page.locator('[data-cue]')).toHaveText('Pour in: Develop')
    await page.keyboard.press('Space')
    await expect(page.locator('[data-cue]')).not.toHaveText(/Develop/)
    await allRed(page, 'clock')
    await page.keyboard.press('t')
    await page.getByLabel('Measured').fill('hot')
    await allRed(page, 'clock, dialog with a field in error')
    expect(await seriousFaults(page)).toEqual([])
  })
})

test('lighter only by L and Enter held for a second; the dimmer is a layer on top', async ({ page }) => {
  await signIn(page, 'maren')
  await page.keyboard.press('l')
  await expect(page.locator('[data-dim]')).toHaveCSS('opacity', '0')
  await page.getByRole('button', { name: 'Dimmer' }).click()
  await expect(page.locator('[data-dim]')).toHaveCSS('opacity', '0.1')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-light', 'safelight')
  // the light is there before anyone is: keys are heard once the room is
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible()
  await page.locator('main').focus()
  await page.keyboard.down('l')
  await page.keyboard.down('Enter')
  await page.keyboard.up('Enter')
  await page.keyboard.up('l')
  await expect(page.locator('html')).toHaveAttribute('data-light', 'safelight')
  await page.keyboard.down('l')
  await page.keyboard.down('Enter')
  await expect(page.locator('html')).toHaveAttribute('data-light', 'white')
  await page.keyboard.up('Enter')
  await page.keyboard.up('l')

  // the way back presses nothing: the button with the focus is not pressed by its Enter
  await page.keyboard.press('l')
  const load = page.getByRole('button', { name: /poured back, 2 rolls/ }).first()
  const lines = () =>
    page.evaluate(async () =>
      ((await (await fetch('/api/bottles')).json()) as { rows: { version: number }[] }).rows.map((row) => row.version),
    )
  const before = await lines()
  await load.focus()
  await page.keyboard.down('l')
  await page.keyboard.down('Enter')
  await expect(page.locator('html')).toHaveAttribute('data-light', 'white')
  await page.keyboard.up('Enter')
  await page.keyboard.up('l')
  expect(await lines()).toEqual(before)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeHidden()

  // with one pointer: a press does nothing, two seconds do
  await page.keyboard.press('l')
  const button = page.getByRole('button', { name: /Safelight\. Hold for two seconds/ })
  await button.click()
  await expect(page.locator('html')).toHaveAttribute('data-light', 'safelight')
  await button.hover()
  await page.mouse.down()
  await expect(page.locator('html')).toHaveAttribute('data-light', 'white')
  await page.mouse.up()

  // switched off as a whole
  await page.goto('/settings')
  await page.getByRole('switch', { name: /Single keys/ }).click()
  await page.getByRole('button', { name: 'Keep mine' }).click()
  await expect(page.getByText('Your settings are kept.')).toBeVisible()
  await page.locator('main').focus()
  for (const key of ['l', '5', '/']) await page.keyboard.press(key)
  await expect(page.locator('html')).toHaveAttribute('data-light', 'white')
  await expect(page).toHaveURL(/settings/)
})
