import type { Browser } from '@playwright/test'
import { eventsOf } from './support/clock'
import { choose, expect, signIn, test, type House } from './support/house'
import { seriousFaults } from './support/look'

const onPhone = async (browser: Browser, house: House, login: string) => {
  const context = await browser.newContext({ baseURL: house.url, viewport: { width: 390, height: 800 } })
  const page = await context.newPage()
  await signIn(page, login)
  return { context, page }
}

test('a member is allowed a process, plans and leads a run on the phone; the technician on duty sees it, steps in and gives it back', async ({
  page,
  house,
  browser,
}) => {
  await signIn(page)
  await page.goto('/people')
  await page.getByRole('button', { name: /^Bram Osier/ }).click()
  await page.getByRole('link', { name: 'What they may develop alone' }).click()
  await expect(page.getByText('Bram Osier develops nothing alone.')).toBeVisible()
  const { context, page: phone } = await onPhone(browser, house, 'bram')
  await phone.getByRole('link', { name: 'Tanks' }).click()
  await expect(phone.getByText(/Nothing yet\. Practise a process dry/)).toBeVisible()
  await page.getByRole('button', { name: 'Allow a process' }).click()
  await choose(page, 'Process', /^Black-and-white negative$/)
  await page.getByRole('button', { name: 'Tank 1', exact: true }).click()
  await page.getByRole('button', { name: 'Allow it' }).click()
  await expect(
    page.getByText('It does not count yet. They read: “Practise “Black-and-white negative” once with nothing wrong first.”'),
  ).toBeVisible()
  // what is asked before is there on the phone at once, and so is that it is asked no more
  await expect(phone.getByRole('link', { name: 'Practise it' })).toBeVisible()
  await expect(phone.getByRole('link', { name: 'Plan it' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Change Black-and-white negative' }).click()
  await page.getByRole('switch', { name: /After a clean practice run/ }).click()
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await phone.getByRole('link', { name: 'Plan it' }).click()
  // only what was allowed can be chosen
  await phone.getByRole('button', { name: /^Tank/ }).click()
  await expect(phone.getByRole('option')).toHaveText([/Tank 1/])
  await phone.keyboard.press('Escape')
  await choose(phone, 'Film', 'Millrace 400')
  await expect(phone.getByRole('button', { name: 'To the beakers' })).toBeEnabled()
  expect(await seriousFaults(phone)).toEqual([])
  await phone.getByRole('button', { name: 'To the beakers' }).click()
  await expect(phone.getByRole('heading', { name: /^Run \d+, Tank 1$/ })).toBeVisible()
  await phone.locator('[data-next]').click()
  const start = phone.getByRole('button', { name: /^Pouring, start/ })
  await expect(start).toBeVisible()
  await start.click()
  // on duty
  await page.goto('/tanks')
  const card = page.getByRole('link', { name: /led by Bram Osier, a member/ })
  await expect(card).toContainText('running')
  await card.click()
  await page.getByRole('button', { name: 'Take it over' }).click()
  await page.getByRole('button', { name: 'Lead it from here' }).click()
  await expect(phone.getByText('Ilse Varn leads it on another device; this one follows.')).toBeVisible()
  await phone.getByRole('button', { name: 'Take it over' }).click()
  await expect(phone.getByText(/Ilse Varn has stepped in and leads it now\./)).toBeVisible()
  await expect(phone.getByRole('button', { name: 'Lead it from here' })).toBeDisabled()
  await phone.getByRole('button', { name: 'Not now' }).click()
  await page.getByRole('button', { name: 'Give it back to Bram Osier' }).click()
  await expect(page.getByText('Led on another device; this one follows.')).toBeVisible()
  await expect(phone.getByRole('button', { name: 'Take it over' })).toHaveCount(0)
  const id = phone.url().split('/').at(-1) ?? ''
  await phone.getByRole('button', { name: 'Give up' }).click()
  await phone.getByLabel('What happened?').fill('the lid came off')
  await phone.getByRole('button', { name: /^Give run \d+ up$/ }).click()
  // their history, with who led it when
  await expect(phone.getByRole('heading', { name: 'What you have led' })).toBeVisible()
  expect((await eventsOf(house, id)).map((one) => one.kind)).toEqual(['start', 'take-over', 'give-back'])
  await phone
    .getByRole('link', { name: /^Run \d+/ })
    .first()
    .click()
  await expect(phone.getByText(/Ilse Varn took it over at \d+:\d+, on duty\./)).toBeVisible()
  await expect(phone.getByRole('button', { name: /back$/ })).toHaveCount(0)
  await phone.goto('/tanks')
  const saved = phone.waitForEvent('download')
  await phone.getByRole('button', { name: 'Take it out as a table' }).click()
  expect((await saved).suggestedFilename()).toBe('my runs.csv')
  // what is somebody else's is not shown
  const other = (
    await house.ask<{ id: string }>(`select r.id from run r join person p on p.id = r.planned_by where p.login = 'ilse' limit 1`)
  )[0]
  await phone.goto(`/tanks/${other?.id}`)
  await expect(phone.getByText('That run is someone else’s.')).toBeVisible()
  // and a permission that is ended is gone at once
  await page.goto('/people')
  await page.getByRole('button', { name: /^Bram Osier/ }).click()
  await page.getByRole('link', { name: 'What they may develop alone' }).click()
  await phone.goto('/tanks')
  await expect(phone.getByRole('link', { name: 'Plan it' })).toBeVisible()
  await page.getByRole('button', { name: 'End Black-and-white negative' }).click()
  await expect(phone.getByText(/Nothing yet\. Practise a process dry/)).toBeVisible()
  await context.close()
})

test('what was practised is looked at again, step by step', async ({ page }) => {
  await signIn(page, 'tilda')
  await page.goto('/practice')
  await page.getByRole('button', { name: 'Black-and-white negative at 5×' }).last().click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('The film would not be right.')).toBeVisible()
  await expect(dialog.getByRole('row', { name: /^Develop/ })).toBeVisible()
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('button', { name: 'Black-and-white negative at 2×' }).first()).toBeVisible()
})
