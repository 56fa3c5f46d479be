import type { Page } from '@playwright/test'
import { choose, expect, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

const steps = (page: Page) => page.getByRole('list', { name: 'Steps' }).getByRole('listitem')
const names = async (page: Page) => (await steps(page).locator('b').allTextContents()).filter((one) => one !== '!')
const step = (page: Page, name: string, nth = 0) =>
  steps(page)
    .getByRole('button', { name: new RegExp(`^!?\\s*${name} (\\d|by|until)`) })
    .nth(nth)
async function open(page: Page, process: string): Promise<void> {
  await page.goto('/tanks/processes')
  await page
    .getByRole('link', { name: new RegExp(`^${process}`) })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: process, level: 1 })).toBeVisible()
}
/** Takes a step out, whichever of that name comes first. */
async function out(page: Page, name: string): Promise<void> {
  await step(page, name).click()
  await page.getByRole('button', { name: `Take ${name} out` }).click()
}
async function takeOver(page: Page, process: string, wanted: RegExp[], where: RegExp): Promise<void> {
  await page.getByRole('button', { name: /Steps of another process/ }).click()
  await choose(page, 'Out of', new RegExp(`^(✓ )?${process}$`))
  const dialog = page.getByRole('dialog')
  for (const one of wanted) await dialog.getByRole('checkbox', { name: one }).first().check()
  await dialog.getByRole('button', { name: /^Where to/ }).click()
  await page.getByRole('option', { name: where }).click()
  await dialog.getByRole('button', { name: /^Take / }).click()
  await expect(dialog).toBeHidden()
}

test('colour film for black-and-white chemistry is made from the house’s own process: a pre-wet, and half as long again in the fixer', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/tanks')
  await page.getByRole('link', { name: 'Processes' }).click()
  await page.getByRole('link', { name: /^Black-and-white negative developer/ }).click()
  await page.getByRole('link', { name: 'Copy it' }).click()
  await page.getByLabel('Name of the process').fill('Colour film as black and white')
  await page.getByRole('switch', { name: 'Pre-wet' }).click()
  await step(page, 'Fix').click()
  await page.getByRole('button', { name: 'Half as long again' }).click()
  await expect(step(page, 'Fix')).toContainText('7:30')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { name: 'Colour film as black and white', level: 1 })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Plan a run of it' })).toBeVisible()
  // what it came from is as it was
  await open(page, 'Black-and-white negative')
  await expect(step(page, 'Fix')).toContainText('5:00')
})

test('slide film crossed is made of three processes: steps taken over, moved with the keyboard and by dragging, doubled, mended and compared', async ({
  page,
  house,
}) => {
  test.setTimeout(150_000)
  await signIn(page)
  await open(page, 'Colour negative process')
  await page.getByRole('link', { name: 'Copy it' }).click()
  await page.getByLabel('Name of the process').fill('Slide, crossed our way')
  for (const name of ['Pre-wet, warm', 'Bleach', 'Fix']) await out(page, name)
  await expect(page.getByText('Nothing speaks against it.')).toBeVisible()
  await step(page, 'Pre-heat in the bath').click()

  // the first half is a black-and-white slide’s: its developer, a wash, the lamp
  await takeOver(page, 'Black-and-white slide', [/^First developer/, /^Wash, 5:00/, /^Re-expose/], /Before all/)
  expect((await names(page)).slice(0, 4)).toEqual(['First developer', 'Wash', 'Re-expose', 'Pre-heat in the bath'])
  // the second development is a colour developer now, as the crossed process of the house has it
  await page.getByRole('alert').or(page.getByText(/Error/)).first().waitFor()
  expect(await seriousFaults(page)).toEqual([])

  // a step at the wrong place is moved with Alt and an arrow key, and keeps the focus
  await step(page, 'Re-expose').focus()
  await page.keyboard.press('Alt+ArrowLeft')
  expect((await names(page)).slice(0, 3)).toEqual(['First developer', 'Re-expose', 'Wash'])
  await expect(step(page, 'Re-expose')).toBeFocused()
  await page.keyboard.press('Alt+ArrowRight')
  expect((await names(page)).slice(0, 3)).toEqual(['First developer', 'Wash', 'Re-expose'])

  // dragged behind the next and taken back again
  const [from, to] = [await step(page, 'First developer').boundingBox(), await step(page, 'Re-expose').boundingBox()]
  if (!from || !to) throw new Error('The steps are not on the page.')
  await page.mouse.move(from.x + 30, from.y + 30)
  await page.mouse.down()
  await page.mouse.move(from.x + 60, from.y + 35, { steps: 4 })
  await page.mouse.move(to.x + to.width - 8, to.y + 35, { steps: 12 })
  await page.mouse.up()
  await expect.poll(async () => (await names(page)).slice(0, 3)).toEqual(['Wash', 'Re-expose', 'First developer'])
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => (await names(page)).slice(0, 3)).toEqual(['First developer', 'Wash', 'Re-expose'])

  await step(page, 'First developer').click()
  await choose(page, 'Out of', 'Another bath …')
  await page.getByLabel('Its name in this process').fill('Strong print developer')
  await choose(page, 'Which bottles may be it', 'Print developers')
  await page.getByRole('button', { name: 'Take it' }).click()
  await choose(page, 'The liquid afterwards', 'Poured away')
  await page.getByLabel('Time', { exact: true }).fill('9:00')
  await step(page, 'Colour developer').click()
  await choose(page, 'What it does', 'Second develop')
  await choose(page, 'How long', 'A time of its own')
  await page.getByLabel('Time', { exact: true }).fill('5:00')
  await step(page, 'Bleach-fix').click()
  await page.getByRole('button', { name: 'Twice as long' }).click()
  await expect(step(page, 'Bleach-fix')).toContainText('13:00')

  // a rinse behind the stabiliser is found, shown and mended
  await page.getByRole('button', { name: /^Stabiliser/ }).click()
  await takeOver(page, 'Black-and-white negative', [/^Rinse/], /Behind/)
  await expect(page.getByText(/rinses it off again/)).toBeVisible()
  await page.getByRole('button', { name: 'Leave Rinse out' }).click()
  await expect(page.getByText(/rinses it off again/)).toBeHidden()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { name: 'What changed' })).toBeVisible()

  // two versions differ in what was done, and the first is still there
  await step(page, 'Bleach-fix').click()
  await page.getByRole('button', { name: 'Half', exact: true }).click()
  await expect(page.getByRole('row', { name: /Bleach-fix time 13:00 6:30/ })).toBeVisible()
  await page.getByRole('button', { name: 'Keep as version 2' }).click()
  await expect(page.getByRole('button', { name: 'Keep as version 2' })).toBeHidden()
  const kept = await house.ask<{ number: number; s: number }>(
    `select number, (step -> 'time' ->> 's')::int as s from process_version v, jsonb_array_elements(v.body -> 'steps') step
     where v.body ->> 'name' = 'Slide, crossed our way' and step ->> 'key' = 'bleach-fix' order by number`,
  )
  expect(kept).toEqual([
    { number: 1, s: 780 },
    { number: 2, s: 390 },
  ])
})

test('what is being written of a process is not lost by leaving, and a file of it comes in again', async ({ page }) => {
  await signIn(page)
  await open(page, 'Monobath')
  await page.getByLabel('Note', { exact: true }).fill('for a cold loft')
  await page.keyboard.press('1')
  await page.locator('body').click({ position: { x: 5, y: 400 } })
  await page.getByRole('link', { name: /Shelf/ }).click()
  await expect(page.getByText(/not kept|leave/i).first()).toBeVisible()
  await page
    .getByRole('button', { name: /Stay|Keep writing|back/i })
    .first()
    .click()
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue(/for a cold loft/)
  await page.getByRole('button', { name: 'Undo' }).click()

  await page.goto('/tanks/processes')
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'All as CSV' }).click()])
  const chunks: Buffer[] = []
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer)
  const text = Buffer.concat(chunks).toString()
  const one = text
    .split('\n')
    .filter((line, i) => i === 0 || /^"?Monobath/.test(line))
    .join('\n')
    .replaceAll('Monobath', 'Loft monobath')
  await page.locator('input[type=file]').setInputFiles({ name: 'loft.csv', mimeType: 'text/csv', buffer: Buffer.from(one) })
  await expect(page.getByText('Taken in: Loft monobath.')).toBeVisible()
  await expect(page.getByRole('link', { name: /^Loft monobath/ })).toBeVisible()
  await page.locator('input[type=file]').setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"a":1}') })
  await expect(page.getByRole('alert')).toContainText('no file of processes')
})

test('two who write one process are told of each other, and neither version is lost', async ({ page, browser, house }) => {
  await signIn(page)
  await open(page, 'Monobath')
  await page.getByLabel('Note on the process').fill('shake gently')
  const context = await browser.newContext({ baseURL: house.url, viewport: { width: 1280, height: 800 } })
  const other = await context.newPage()
  await signIn(other, 'odo')
  await open(other, 'Monobath')
  await step(other, 'Monobath').click()
  await other.getByRole('button', { name: 'Twice as long' }).click()
  await other.getByRole('button', { name: 'Keep as version 2' }).click()
  await expect(other.getByRole('button', { name: 'Keep as version 2' })).toBeHidden()
  await context.close()
  await expect(page.getByText(/kept version 2 while you were writing/)).toBeVisible()
  await expect(page.getByLabel('Note on the process')).toHaveValue('shake gently')
  await expect(page.getByRole('row', { name: /Monobath time 10:00 5:00/ })).toBeVisible()
  await page.getByRole('button', { name: 'Keep as version 3' }).click()
  await expect(page.getByRole('button', { name: /Keep as version/ })).toBeHidden()
  const kept = await house.ask<{ number: number }>(`select number from process_version where body ->> 'name' = 'Monobath' order by number`)
  expect(kept.map((one) => one.number)).toEqual([1, 2, 3])
})
