import { choose, expect, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

test('a strip is counted out in red, its lamp by the relay, by a pedal’s key; it is stopped and gone on with, survives a reload, and is written down', async ({
  page,
  house,
}) => {
  test.setTimeout(180_000)
  await signIn(page)
  await page.goto('/trays')
  await page.getByRole('button', { name: 'Begin a print' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Counted out')
  await page.getByLabel('Negative').fill('roll 51, frame 4')
  await page.getByLabel('Picture on the paper').fill('19')
  await choose(page, 'Paper', /Sluice satin, variable, 20/)
  await choose(page, 'Enlarger', 'By the window')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await page.getByRole('button', { name: 'A strip', exact: true }).click()
  await page.getByLabel('Middle band').fill('4')
  await page.getByRole('dialog').getByRole('button', { name: 'Count it out' }).click()

  // nothing white where paper is open
  await expect(page.locator('html')).toHaveAttribute('data-light', 'safelight')
  const left = page.locator('[data-left]')
  const step = page.getByRole('status').first()
  await expect(step).toHaveText('The whole strip')
  await expect(left).toHaveText('2.0')
  expect(await seriousFaults(page)).toEqual([])
  for (const [width, height] of [
    [390, 844],
    [1024, 768],
    [1280, 800],
  ] as const) {
    await page.setViewportSize({ width, height })
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
  }
  const told: { seconds: number }[] = []
  page.on('request', (request) => {
    if (request.url().endsWith('/light')) told.push(request.postDataJSON() as { seconds: number })
  })
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('button', { name: 'Light is on' })).toBeVisible()
  // pressed again meanwhile it does nothing
  await page.keyboard.press('Space')
  await expect(step).toHaveText('Cover one band more: 1 band covered')
  await expect(left).toHaveText('0.5')
  // the page is loaded again between two exposures: it goes on where it was
  await page.reload()
  await expect(step).toHaveText('Cover one band more: 1 band covered')
  for (const [covered, seconds] of [
    [2, '0.7'],
    [3, '0.8'],
    [4, '1.0'],
  ] as const) {
    await page.keyboard.press('Space')
    await expect(step).toHaveText(`Cover one band more: ${covered} bands covered`)
    await expect(left).toHaveText(seconds)
  }
  await page.keyboard.press('Space')
  await expect(step).toHaveText('Cover one band more: 5 bands covered')
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: 'Light is on' })).toBeVisible()
  await expect(step).toHaveText('Cover one band more: 6 bands covered')
  // the last is stopped in the middle, and the rest given
  await page.keyboard.press('Space')
  await expect.poll(async () => Number(await left.textContent())).toBeLessThan(1.4)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /^The rest: [01]\.\d s/ })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(step).toHaveText('All of it is given.')
  // what each band had more, with the lamp’s lag of 0.1 s in each; then the lamp off, and on for the rest
  expect(told.map((one) => Number(one.seconds.toFixed(2))).slice(0, 7)).toEqual([2.1, 0.62, 0.75, 0.93, 1.14, 1.41, 1.75])
  expect(told[7]?.seconds).toBe(0)
  const again = told[8]?.seconds ?? 0
  expect(again).toBeGreaterThan(0.1)
  expect(again).toBeLessThan(1.64)
  // the answer is lost on its way: pressed again it is the same strip, and its paper is drawn once
  await page.route(
    '**/api/prints/*/tries',
    async (route) => {
      await route.fetch()
      await route.abort()
    },
    { times: 1 },
  )
  await page.keyboard.press('Space')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByRole('heading', { name: 'Counted out' })).toBeVisible()
  await expect(page.getByRole('list', { name: 'Bands' }).getByRole('button')).toHaveCount(7)
  const [drawn] = await house.ask<{ n: string }>(
    `select count(*) as n from paper_entry e join print_try t on t.id = e.try_id join sheet s on s.id = t.sheet_id where s.title = 'Counted out'`,
  )
  expect(Number(drawn?.n)).toBe(1)
})
