import type { Page } from '@playwright/test'
import { eventsOf, runAtClock, runPlanned } from './support/clock'
import { expect, inAnother, signIn, test } from './support/house'
import { litPixel } from './support/look'

/** What a walk left at the clock is none of the next one’s business. */
test.afterEach(async ({ house }) => {
  await house.ask(
    `update run set state = 'abandoned', ended_at = now(), version = version + 1 where state in ('planned', 'running') returning id`,
  )
})
/** A browser that is cut off leaves an open stream open: this one opens none until it may hear. */
const deaf = `
  if (localStorage.getItem('hears') === null) {
    delete window.SharedWorker
    window.EventSource = class { close() {} addEventListener() {} }
  }`

test('a second device follows, takes the run over, and only it writes; the first one sees it', async ({ page, house, browser }) => {
  await page.addInitScript(deaf)
  await signIn(page)
  const id = await runAtClock(page, house)
  await page.goto(`/tanks/${id}`)
  await expect(page.locator('[data-cue]')).toHaveText(/^Pour in/)
  await page.keyboard.press('Space')
  const { context, page: other } = await inAnother(browser, house, 'odo')
  await other.goto(`/tanks/${id}`)
  await expect(other.getByText('Led on another device; this one follows.')).toBeVisible()
  await expect(other.getByRole('button', { name: 'Hold at end of step' })).toBeDisabled()
  // the first one loses its line; what it says from there on comes late
  await page.context().setOffline(true)
  await other.keyboard.press('Space')
  await other.getByRole('button', { name: 'Lead it from here' }).click()
  await expect(other.getByText('Led on another device')).toHaveCount(0)
  // two clocks are one within two seconds: what comes that long after the take-over is after it by both
  const timer = page.getByRole('timer')
  const leftS = async () => ((await timer.textContent()) ?? '').split(':').reduce((sum, part) => sum * 60 + Number(part), 0)
  const takenAt = await leftS()
  await expect.poll(async () => takenAt - (await leftS())).toBeGreaterThanOrEqual(3)
  await page.keyboard.press('h')
  await page.keyboard.press('h')
  await expect(page.getByText('Held: the film stays in')).toBeVisible()
  await page.evaluate(() => localStorage.setItem('hears', 'again'))
  await page.context().setOffline(false)
  await page.reload()
  await expect(page.getByText('Odo Brackwater leads it on another device; this one follows.')).toBeVisible()
  await expect(page.getByText('Held: the film stays in')).toHaveCount(0)
  await expect
    .poll(async () => (await eventsOf(house, id)).map((one) => `${one.kind}${one.late ? ' late' : ''}`))
    .toEqual(['start', 'take-over', 'hold late'])
  // given back, and given up there, by name
  await page.getByRole('button', { name: 'Take it over' }).click()
  await expect(page.getByRole('dialog').getByText(/Odo .*leads it on another device/)).toBeVisible()
  await page.getByRole('button', { name: 'Lead it from here' }).click()
  await expect(other.getByText('Ilse Varn leads it on another device; this one follows.')).toBeVisible()
  await context.close()
  await page.getByRole('button', { name: 'Give up' }).click()
  await page.getByLabel('What happened?').fill('only looked at')
  await page.getByRole('button', { name: /^Give run \d+ up$/ }).click()
  await expect(page).toHaveURL(/\/tanks$/)
})

test('in the middle a step is done once more, water comes between, one is left out, each with its reason and what it comes to', async ({
  page,
  house,
}) => {
  await signIn(page)
  const id = await runAtClock(page, house)
  await page.goto(`/tanks/${id}`)
  await expect(page.locator('[data-cue]')).toHaveText(/^Pour in/)
  await page.keyboard.press('Space')
  const steps = page.getByRole('list', { name: /^Steps/ })
  const otherwise = async (what: string, which: string | null, why: string) => {
    await page.getByRole('button', { name: 'Otherwise' }).click()
    await page.getByRole('button', { name: what, exact: true }).click()
    if (which) await page.getByRole('button', { name: which, exact: true }).click()
    await page.getByLabel('Why?').fill(why)
  }
  await otherwise('A step once more', 'Develop', 'thin')
  await page.getByRole('button', { name: 'So it is' }).click()
  await expect(page.getByText(/made up once for this run/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Not now' }).click()
  await otherwise('Leave one out', 'Fix', 'in a hurry')
  await expect(page.getByText('Nothing fixes the film', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Not now' }).click()
  await otherwise('Leave one out', 'Stop', 'none mixed')
  await page.getByRole('button', { name: 'So it is' }).click()
  await expect(steps.getByText('Stop')).toHaveCount(0)
  await otherwise('Water between', null, 'instead of the stop')
  await page.getByRole('button', { name: '0:30' }).click()
  await page.getByRole('button', { name: 'So it is' }).click()
  await expect(steps.getByText('Water, added')).toBeVisible()
  await page.reload()
  await expect(steps.getByText('Water, added')).toBeVisible()
  await expect(steps.getByText('Stop')).toHaveCount(0)
  await page.getByRole('button', { name: 'Give up' }).click()
  await page.getByLabel('What happened?').fill('only looked at')
  await page.getByRole('button', { name: /^Give run \d+ up$/ }).click()
  await expect(page).toHaveURL(/\/tanks$/)
  await page.goto(`/tanks/${id}`)
  await expect(page.getByText('none mixed')).toBeVisible()
  await expect(page.getByText('instead of the stop')).toBeVisible()
})

test('while the server is away a run goes to its end and is written down; it arrives exactly once', async ({ page, house }) => {
  await page.clock.install()
  await signIn(page)
  const id = await runAtClock(page, house)
  await page.goto(`/tanks/${id}`)
  const cue = page.locator('[data-cue]')
  await expect(cue).toHaveText(/^Pour in/)
  const steps = await page
    .getByRole('list', { name: /^Steps/ })
    .getByRole('listitem')
    .count()
  await page.context().setOffline(true)
  await page.keyboard.press('Space')
  const out = page.getByRole('heading', { name: /^Run \d+ is out$/ })
  for (let i = 0; i <= steps && !(await out.isVisible()); i++) {
    await page.clock.fastForward(1_000_000)
    await expect(cue.or(out)).toBeVisible()
    if (await out.isVisible()) break
    await expect(cue).toHaveText('Time is up')
    await page.keyboard.press('Space')
  }
  await expect(page.getByText(/for the server; the clock goes on|^Run \d+ is out$/).first()).toBeVisible()
  await page.locator('[data-next]').click()
  await expect(page.getByRole('heading', { name: /is written down on this device$/ })).toBeVisible()
  expect(await eventsOf(house, id)).toEqual([])
  house.advance(8_000_000)
  await page.context().setOffline(false)
  await expect
    .poll(async () => {
      // less at once than an answer is waited for
      await page.clock.fastForward(5000)
      return (await house.ask<{ state: string }>(`select state from run where id = $1`, [id]))[0]?.state
    })
    .toBe('done')
  const uses = () => house.ask(`select id from bottle_entry where run_id = $1 and kind = 'use'`, [id])
  const written = (await uses()).length
  expect(written).toBeGreaterThan(0)
  const kinds = (await eventsOf(house, id)).map((one) => one.kind)
  expect(kinds.filter((kind) => kind === 'start')).toEqual(['start'])
  await page.reload()
  await page.clock.fastForward(120_000)
  expect((await uses()).length).toBe(written)
})

/** What the voice of a page has begun to say, by the lengths of its sounds; and its tones. */
const listening = `
  window.__said = []
  const start = AudioBufferSourceNode.prototype.start
  AudioBufferSourceNode.prototype.start = function (...args) { window.__said.push(this.buffer.duration); return start.apply(this, args) }`
const said = (page: Page): Promise<number> => page.evaluate(() => (window as unknown as { __said: number[] }).__said.length)

/** L and Enter, held for long enough. */
async function gesture(page: Page): Promise<void> {
  await page.keyboard.down('l')
  await page.keyboard.down('Enter')
  await page.waitForTimeout(1300)
  await page.keyboard.up('Enter')
  await page.keyboard.up('l')
}

test('in a dark step the screen is black and stays so whatever arrives; a key says the time left; only the gesture, asked for twice, brings light', async ({
  page,
  house,
  browser,
}) => {
  await page.addInitScript(listening)
  await signIn(page)
  const id = await runAtClock(page, house, 'Tank 2', `jsonb_set(plan, '{steps,0,light}', '"dark"')`)
  const html = page.locator('html')
  const black = async (when: string) =>
    expect([when, await html.getAttribute('data-light'), await litPixel(page)]).toEqual([when, 'dark', null])
  await page.goto(`/tanks/${id}`)
  await expect(page.locator('[data-cue]')).toHaveText(/^Pour in/)
  await page.keyboard.press('Space')
  await expect(html).toHaveAttribute('data-light', 'dark')
  await black('at once')
  // everything else goes on: another tank is begun beside it, a bottle changes, a finding, the line is lost and found, menus and panels are asked for
  const { context, page: other } = await inAnother(browser, house, 'odo')
  const second = await runAtClock(other, house, 'Tank 1')
  await other.goto(`/tanks/${second}`)
  await other.keyboard.press('Space')
  await expect(other.getByRole('timer')).toBeVisible()
  await black('another run begins')
  await house.ask(
    `update bottle set version = version + 1 where id = (select id from bottle where retired_at is null limit 1) returning id`,
  )
  await page.context().setOffline(true)
  await black('without a line')
  await page.context().setOffline(false)
  for (const key of ['/', '?', '1', 'F5', 'Tab', 'Escape', 't']) await page.keyboard.press(key)
  await page.mouse.click(400, 300)
  await page.mouse.click(1200, 20)
  await black('keys and taps')
  expect(page.url()).toContain(id)
  // a key says what is left
  await expect.poll(() => said(page)).toBeGreaterThan(2)
  const before = await said(page)
  await page.keyboard.press('x')
  await expect.poll(() => said(page)).toBeGreaterThan(before)
  // cues of two runs come and go
  for (let i = 0; i < 6; i++) {
    await page.waitForTimeout(700)
    await black(`cues, ${i}`)
  }
  // loaded again in the dark it stays dark, and a key is answered as soon as the page is there
  page.on('dialog', (dialog) => void dialog.accept())
  await page.reload()
  await black('loaded again')
  await expect
    .poll(async () => {
      await page.keyboard.press('x')
      return said(page)
    })
    .toBeGreaterThan(2)
  await gesture(page)
  await black('warned first')
  await gesture(page)
  // what light there was before the page was loaded again nobody knows: the darker one
  await expect(html).toHaveAttribute('data-light', 'safelight')
  await context.close()
})

test('a tank is loaded: what lies at hand is ticked, then the screen is dark and says each step until the lid is on', async ({ page }) => {
  await page.addInitScript(listening)
  await signIn(page)
  const id = await runPlanned(page)
  await page.goto(`/tanks/${id}`)
  await expect(page.getByRole('heading', { name: 'Before the dark' })).toBeVisible()
  const ticks = page.getByRole('checkbox')
  const many = await ticks.count()
  await page.locator('main').focus()
  await page.keyboard.press('Space')
  await expect(ticks.nth(0)).toBeChecked()
  await expect(page.getByRole('button', { name: 'Lights out, screen black' })).toBeDisabled()
  for (let i = 1; i < many; i++) await page.keyboard.press('Space')
  await expect(ticks.nth(many - 1)).toBeChecked()
  await page.reload()
  await expect(ticks.nth(many - 1)).toBeChecked()
  await page.locator('main').focus()
  await page.keyboard.press('Space')
  await expect(page.locator('html')).toHaveAttribute('data-light', 'dark')
  expect(await litPixel(page)).toBeNull()
  await expect.poll(() => said(page)).toBe(1)
  // asked again it is said again, and then what helps; Space goes on
  await page.keyboard.press('j')
  await page.keyboard.press('j')
  await expect.poll(() => said(page)).toBe(3)
  await gesture(page)
  await expect(page.locator('html')).toHaveAttribute('data-light', 'dark')
  for (let i = 0; i < 8; i++) await page.keyboard.press('Space')
  await page.waitForTimeout(300)
  expect(await litPixel(page)).toBeNull()
  await gesture(page)
  await expect(page.locator('html')).toHaveAttribute('data-light', 'white')
  await expect(page.getByRole('heading', { name: 'Loaded, tank closed' })).toBeVisible()
  await expect(page.getByText('before the tank was closed')).toHaveCount(0)
})

test('a step that is looked at counts up and waits for a person, its time is what it took; under the lamp each side has its time', async ({
  page,
  house,
}) => {
  await page.clock.install()
  await signIn(page)
  const id = await runAtClock(
    page,
    house,
    'Tank 2',
    [
      ['0,time', '{"inspect": true}'],
      ['0,waits', 'true'],
      ['1,liquid', '"light"'],
      ['1,sides', '2'],
      ['1,seconds', '60'],
    ].reduce((plan, [at, is]) => `jsonb_set(${plan}, '{steps,${at ?? ''}}', '${is ?? ''}')`, 'plan'),
  )
  await page.goto(`/tanks/${id}`)
  const cue = page.locator('[data-cue]')
  const timer = page.getByRole('timer')
  await expect(cue).toHaveText(/^Pour in/)
  const planned =
    (await house.ask<{ s: number }>(`select (plan->'steps'->0->>'seconds')::float8 as s from run where id = $1`, [id]))[0]?.s ?? 0
  await page.keyboard.press('Space')
  await expect(cue).toHaveText(/^Pour in/)
  // long behind its planned end it is neither over nor ended
  for (let s = 0; s < planned + 90; s += 15) await page.clock.fastForward(15_000)
  await expect(cue).toHaveText('Look at it')
  await expect(timer).toHaveText(/^\d+:\d\d$/)
  const [minutes, seconds] = ((await timer.textContent()) ?? '').split(':').map(Number)
  expect((minutes ?? 0) * 60 + (seconds ?? 0)).toBeGreaterThanOrEqual(planned + 89)
  await page.keyboard.press('Space')
  await expect(cue).toHaveText('Lamp on, first side')
  await expect(timer).toHaveText(/^0:(30|2\d)$/)
  await page.clock.fastForward(15_000)
  await page.clock.fastForward(16_000)
  await expect(cue).toHaveText('Turn it over, second side')
  await expect(timer).toHaveText(/^0:(29|2\d)$/)
})

test('a clock that is another than the server’s while a run is on asks a person, and what was said stands in the record', async ({
  page,
  house,
}) => {
  await signIn(page)
  const id = await runAtClock(page, house)
  await page.goto(`/tanks/${id}`)
  await expect(page.locator('[data-cue]')).toHaveText(/^Pour in/)
  await page.keyboard.press('Space')
  await expect(page.locator('[data-cue]')).toHaveText(/^Pour in/)
  const leftS = async () => {
    const [minutes, seconds] = ((await page.getByRole('timer').textContent()) ?? '').split(':').map(Number)
    return (minutes ?? 0) * 60 + (seconds ?? 0)
  }
  const doubt = page.getByRole('dialog', { name: 'This device and the server do not agree' })
  house.advance(90_000)
  await page.reload()
  await expect(doubt).toHaveCount(1)
  await expect(doubt.getByText('They are 1:30 apart.', { exact: false })).toBeVisible()
  await doubt.getByRole('button', { name: 'This device is right' }).click()
  await expect(doubt).toHaveCount(0)
  const before = await leftS()
  await page.reload()
  await expect(doubt).toHaveCount(1)
  await doubt.getByRole('button', { name: 'The server is right' }).click()
  await expect(doubt).toHaveCount(0)
  await expect.poll(async () => before - (await leftS())).toBeGreaterThan(85)
  // what was decided goes with the run
  await expect.poll(async () => (await eventsOf(house, id)).filter((one) => one.kind === 'clock').length).toBe(2)
  await page.reload()
  await expect(page.getByRole('timer')).toBeVisible()
  await expect(page.locator('[data-waiting]')).toHaveCount(0)
  await expect(doubt).toHaveCount(0)
})
