import { choose, expect, signIn, test } from './support/house'
import { litPixel, seriousFaults } from './support/look'

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

test('for colour paper the screen is black: it speaks, the pedal gives the light, any other key says what is next; light is asked for twice', async ({
  page,
  house,
}) => {
  test.setTimeout(240_000)
  const [sheet] = await house.ask<{ id: string }>(`select id from sheet where title = 'Mud flats, November'`)
  await page.addInitScript(`
    window.__said = 0
    const start = AudioBufferSourceNode.prototype.start
    AudioBufferSourceNode.prototype.start = function (...args) { window.__said++; return start.apply(this, args) }`)
  const said = () => page.evaluate(() => (window as unknown as { __said: number }).__said)
  await signIn(page)
  await page.goto(`/trays/timer/${sheet?.id}`)
  // the page is there in the dark, only black
  const step = page.locator('main [role="status"]').first()
  await expect(step).toHaveText('The whole sheet')
  await page.getByRole('button', { name: 'Screen black, it speaks' }).click()
  const html = page.locator('html')
  await expect(html).toHaveAttribute('data-light', 'dark')
  expect(await litPixel(page)).toBeNull()
  await expect.poll(said).toBeGreaterThan(0)
  // a key that is no pedal begins nothing, and is answered
  const before = await said()
  for (const key of ['x', 'Enter', 'ArrowRight']) await page.keyboard.press(key)
  await expect.poll(said).toBeGreaterThan(before)
  await expect(step).toHaveText('The whole sheet')
  await expect(page.locator('[data-left]')).toHaveText('20.0')
  await page.keyboard.press('PageDown')
  await expect.poll(async () => Number(await page.locator('[data-left]').textContent())).toBeLessThan(19.5)
  expect(await litPixel(page)).toBeNull()
  await expect(step).toHaveText('Burn in foreground', { timeout: 40_000 })
  for (const expected of ['dark', 'safelight']) {
    await page.keyboard.down('l')
    await page.keyboard.down('Enter')
    await page.waitForTimeout(1300)
    await page.keyboard.up('Enter')
    await page.keyboard.up('l')
    await expect(html).toHaveAttribute('data-light', expected)
  }
  await expect(step).toHaveText('Burn in foreground')
})
