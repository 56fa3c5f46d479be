import type { Page } from '@playwright/test'
import { expect, inAnother, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

const asked = (page: Page) => page.getByRole('dialog', { name: 'A technician has to be present' })

test('what was taken away is asked for at the step: a technician who is present confirms, and what was pressed goes on', async ({
  page,
  browser,
  house,
}) => {
  await signIn(page, 'tilda')
  await page.goto('/trays/toning')
  const strip = page.getByRole('button', { name: 'A strip first' })
  // she was shown it: nobody is asked
  await strip.click()
  await expect(page.getByRole('list', { name: 'Steps' })).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()

  const technician = await inAnother(browser, house, 'ilse')
  await technician.page.goto('/people/training')
  await technician.page
    .getByRole('link', { name: /Tilda Rook/ })
    .last()
    .click()
  await technician.page.getByRole('button', { name: /^Take it away.*toners/ }).click()
  await technician.page.getByLabel('Why').fill('the bottle stood open')
  await technician.page.getByRole('dialog').getByRole('button', { name: 'Take it away' }).click()
  const lacks = technician.page.getByRole('region', { name: 'Lacks' })
  await expect(lacks).toContainText('✕ Toners')

  await strip.click()
  await expect(asked(page)).toContainText('Tilda Rook lacks training for toners')
  expect(await seriousFaults(page)).toEqual([])
  // help lies over it
  await asked(page).getByRole('heading').press('!')
  await expect(page.getByRole('dialog', { name: 'Help' })).toHaveCount(1)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog', { name: 'Help' })).toHaveCount(0)
  // not now: it is not begun, and it is said why
  await asked(page).getByRole('button', { name: 'Not now' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'toners (taken away)' })).toBeVisible()
  await expect(page.getByRole('list', { name: 'Steps' })).toHaveCount(0)
  await strip.click()
  await asked(page)
    .getByRole('button', { name: /^Confirmed/ })
    .click()
  await expect(asked(page)).toContainText('writes their sign-in name')
  await asked(page).getByLabel('The technician’s sign-in name').fill('odo')
  await asked(page).getByLabel('Their password').fill('not it')
  await asked(page)
    .getByRole('button', { name: /^Confirmed/ })
    .click()
  await expect(asked(page)).toContainText('Name or password is wrong')
  await asked(page).getByLabel('Their password').fill('tide-mill-loft')
  await asked(page)
    .getByRole('button', { name: /^Confirmed/ })
    .click()
  await expect(page.getByRole('list', { name: 'Steps' })).toBeVisible()
  await expect(technician.page.getByText('Toners: Odo Brackwater stood beside them')).toBeVisible()

  // she reads it on her own page, and whose practice counts is a technician's word
  await page.goto('/training')
  await expect(page.getByRole('region', { name: 'Lacks' })).toContainText('Toners')
  await expect(page.getByText('Toners: taken away by Ilse Varn: the bottle stood open')).toBeVisible()
  await expect(page.getByRole('button', { name: /Take it away|Was shown|It counts/ })).toHaveCount(0)
  await technician.page.goto('/people/training')
  await technician.page
    .getByRole('link', { name: /Nell Saltmarsh/ })
    .last()
    .click()
  await technician.page
    .getByRole('listitem')
    .filter({ hasText: 'in the dark' })
    .getByRole('button', { name: /^It counts/ })
    .click()
  await expect(technician.page.getByRole('region', { name: 'May do alone' })).toContainText('Loading 135')
  await technician.context.close()
})

test('at the scales it is asked of whose hands weigh, in the dialog that is open where one is', async ({ page }) => {
  await signIn(page)
  await page.goto('/sink')
  await page.getByRole('button', { name: 'Pour by hand' }).click()
  const panel = page.getByRole('dialog', { name: 'Pour by hand' })
  await panel.getByRole('button', { name: /^What it is/ }).click()
  await page
    .getByRole('option', { name: /developers/i })
    .first()
    .click()
  await panel.getByLabel('How much').fill('50')
  await panel.getByLabel('Who pours').fill('Nobody at all')
  await expect(panel).toContainText('Nobody here has that name')
  await panel.getByRole('button', { name: 'It is poured' }).click()
  await expect(panel).toContainText('Say who pours')
  await panel.getByLabel('Who pours').fill('Jory Fenn')
  await panel.getByRole('button', { name: 'It is poured' }).click()
  await expect(asked(page)).toContainText('Jory Fenn lacks training for pours into drums')
  await page.keyboard.press('Escape')
  await expect(asked(page)).toHaveCount(0)
  // what was typed is still there
  await expect(panel.getByLabel('Who pours')).toHaveValue('Jory Fenn')
  await panel.getByRole('button', { name: 'It is poured' }).click()
  await asked(page).getByRole('button', { name: 'I stand beside them' }).click()
  await expect(panel).toHaveCount(0)
})

test('a note of exposure is its owner’s and the named technician’s, and gone when its owner erases it', async ({
  page,
  browser,
  house,
}) => {
  await signIn(page, 'bram')
  await page.goto('/exposures')
  await page.getByRole('button', { name: 'Write a note' }).click()
  const panel = page.getByRole('dialog')
  await panel.getByLabel('What it was').fill('Hydroquinone')
  await page.keyboard.press('Escape')
  await panel.getByRole('button', { name: 'Keep it' }).click()
  await expect(panel).toContainText('Say whether it was the skin')
  await panel.getByRole('button', { name: 'on the skin' }).click()
  await panel.getByLabel('Days ago').fill('3')
  await panel.getByLabel('How it went on').fill('Dry and red')
  await panel.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Dry and red')).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  const [named, other] = [await inAnother(browser, house, 'ilse'), await inAnother(browser, house, 'odo')]
  await named.page.goto('/exposures')
  await expect(named.page.getByRole('region', { name: 'Bram Osier' })).toContainText('Dry and red')
  await other.page.goto('/exposures')
  await expect(other.page.getByText(/^No note/)).toBeVisible()
  await expect(other.page.getByText('Dry and red')).toHaveCount(0)
  await page.getByRole('button', { name: /^Erase the note/ }).click()
  await page.getByRole('button', { name: 'Erase it' }).click()
  await expect(page.getByText(/^No note/)).toBeVisible()
  await named.page.reload()
  await expect(named.page.getByRole('region', { name: 'Tilda Rook' })).toBeVisible()
  await expect(named.page.getByRole('region', { name: 'Bram Osier' })).toHaveCount(0)
  for (const one of [named, other]) await one.context.close()
})
