import { gzipSync } from 'node:zlib'
import { choose, doNext, expect, pass, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

test('over plain http under another name: signing in, writing and the running clock work, and a lost connection loses nothing', async ({
  page,
  house,
  context,
}) => {
  test.setTimeout(120_000)
  const at = `http://darkroom.test:${house.port}/`
  // a name that is not the house's own is not answered, until a technician has set it
  const foreign = await page.goto(at)
  expect([foreign?.status(), await foreign?.text()]).toEqual([421, expect.stringContaining('darkroom.test')])
  await house.ask(`update darkroom set hosts = '{darkroom.test}'`)
  await expect.poll(async () => (await page.goto(at))?.status(), { timeout: 15_000 }).toBe(200)
  await page.clock.install()
  await signIn(page, 'maren', at)
  expect(await page.evaluate(() => window.isSecureContext)).toBe(false)

  await page.keyboard.press('5')
  await page.getByRole('link', { name: 'Plan a run' }).click()
  await choose(page, 'Film', 'Millrace 100')
  await choose(page, 'Owner of film 1', 'Nell Saltmarsh')
  await choose(page, 'Developer', /Strong aminophenol concentrate, 1\+50/)
  await choose(page, 'Fixer', /Rapid fixer concentrate, 1\+4/)
  await page.getByRole('button', { name: 'To the beakers' }).click()
  await doNext(page)
  await expect(page.getByText(/cannot keep the screen on/)).toBeVisible()
  await page.keyboard.press('Space')
  await pass(page, house, 30)
  await expect(page.locator('[data-clock]')).toHaveText(/^11:(29|30)$/)
  const [run] = await house.ask<{ id: string }>(`select id from run where state = 'running'`)
  const kept = async () =>
    (await house.ask<{ kind: string }>(`select event ->> 'kind' as kind from run_event where run_id = $1 order by at`, [run?.id])).map(
      (row) => row.kind,
    )
  await expect.poll(kept).toEqual(['start'])

  await context.setOffline(true)
  await pass(page, house, 700)
  await expect(page.getByRole('heading', { name: 'Stop' })).toBeVisible()
  await page.keyboard.press('h')
  await page.keyboard.press('h')
  await pass(page, house, 60)
  await expect(page.locator('[data-cue]')).toHaveText('Held')
  await page.keyboard.press('Space')
  await expect(page.getByRole('heading', { name: 'Fix' })).toBeVisible()
  await expect(page.getByText(/lines of the log wait for the server/)).toBeVisible()
  expect(await kept()).toEqual(['start'])
  await context.setOffline(false)
  await pass(page, house, 5)
  await expect.poll(kept).toEqual(['start', 'hold', 'next'])

  await pass(page, house, 310)
  await expect(page.getByRole('heading', { name: 'Wash, three fills' })).toBeVisible()
  await pass(page, house, 490)
  await page.keyboard.press('Space')
  await page.getByLabel(/Stop ran/).fill('no connection')
  await doNext(page)
  await expect(page.getByText(/Stop.*S\d.*held: no connection/)).toBeVisible()
})

test('eight tabs of one browser hear of every change, and none waits for another', async ({ page, house }) => {
  await signIn(page)
  const tabs = [page, ...(await Promise.all(Array.from({ length: 7 }, () => page.context().newPage())))]
  for (const tab of tabs.slice(1)) await tab.goto('/shelf')
  for (const tab of tabs) await expect(tab.getByRole('heading', { name: 'Film bench' })).toBeVisible()
  const id = '0198f000-0000-7000-8000-0000000000e8'
  await house.ask(`insert into shelf (id, name, celsius) values ('${id}', 'Window sill', 18) returning id`)
  for (const tab of tabs) await expect(tab.getByRole('heading', { name: /Window sill/ })).toBeVisible()
  await tabs[3]?.close()
  await house.ask(`delete from shelf where id = '${id}' returning id`)
  for (const tab of tabs.filter((one) => !one.isClosed())) await expect(tab.getByRole('heading', { name: /Window sill/ })).toBeHidden()
})

test('a member sees the shelf and their own films, and nothing that changes chemistry', async ({ page }) => {
  await signIn(page, 'tilda')
  await expect(page.getByRole('navigation', { name: 'Stations' }).getByRole('link')).toHaveText([/Shelf/, /My films/])
  await page.getByRole('link', { name: /D4/ }).click()
  await expect(page.getByRole('heading', { name: 'D4' })).toBeVisible()
  await expect(page.getByRole('button', { name: /Retire|Make working|take back/ })).toHaveCount(0)
  await page.goto('/formulary')
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible()
  await page.keyboard.press('5')
  await expect(page.getByRole('heading', { name: 'My films' })).toBeVisible()
  await expect(page.getByText('· Tilda Rook').first()).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
})

test('someone else’s pour moves the level here; / finds a bottle by its code; ? lists the keys', async ({ page, browser, house }) => {
  await signIn(page)
  await page.getByRole('link', { name: /^D9/ }).click()
  await expect(page.getByText('2.50 L of 2.50 L')).toBeVisible()
  const other = await browser.newContext({ baseURL: house.url })
  const second = await other.newPage()
  await signIn(second, 'odo')
  const [code] = await house.ask<{ code: string }>(`select code from bottle where letter = 'D' and number = 9`)
  await second.keyboard.press('?')
  await expect(second.getByText('hold a run at the end of its step')).toBeVisible()
  await second.keyboard.press('Escape')
  await second.keyboard.press('/')
  await second.getByRole('combobox', { name: /Name, label, code/ }).fill(code?.code.toLowerCase() ?? '')
  await expect(second.getByRole('option', { name: /Bottle D9/ })).toBeVisible()
  await second.keyboard.press('Enter')
  await second.getByRole('button', { name: 'Pour, top up' }).click()
  await second.getByLabel('How much').fill('9 L')
  await second.getByRole('button', { name: 'Write it down' }).click()
  await expect(second.getByRole('alert')).toContainText('D9 holds 2500 ml')
  await expect(second.getByLabel('How much')).toHaveValue('9 L')
  await second.getByLabel('How much').fill('500 ml')
  await second.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('2.00 L of 2.50 L')).toBeVisible()
  await other.close()
})

test('a formula edited by two: the second sees the first’s and may save after it', async ({ page, browser, house }) => {
  await signIn(page)
  await page.goto('/formulary')
  await page.getByRole('link', { name: /^Plain metol developer/ }).click()
  await page.getByRole('link', { name: 'Edit' }).click()
  const other = await browser.newContext({ baseURL: house.url })
  const second = await other.newPage()
  await signIn(second, 'odo')
  await second.goto(page.url())
  await expect(second.getByLabel('Name')).toHaveValue('Plain metol developer')
  await second.getByLabel('What it is for').fill('Odo’s words')
  await second.getByRole('button', { name: 'Keep as version 2' }).click()
  await expect(second.getByText('Odo’s words')).toBeVisible()
  await page.getByLabel('What it is for').fill('Ilse’s words')
  await page.getByLabel('Amount').nth(1).fill('7.5 gr')
  await page.getByRole('button', { name: 'Keep as version 2' }).click()
  await expect(page.getByText(/can mean two things/)).toBeVisible()
  await page.getByLabel('Amount').nth(1).fill('7.5')
  await page.getByRole('button', { name: 'Move addition 1 down' }).click()
  await expect(page.getByText(/Put a pinch of the sulfite/)).toBeVisible()
  await page.getByRole('button', { name: 'Move addition 2 up' }).click()
  await page.getByRole('button', { name: 'Keep as version 2' }).click()
  await expect(page.getByText(/was saved by Odo Brackwater/)).toBeVisible()
  const both = page.getByRole('table', { name: 'Both versions' })
  await expect(both.getByText('Odo’s words')).toBeVisible()
  await expect(both.getByText('Ilse’s words')).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  await page.getByRole('button', { name: 'Keep mine as the version after it' }).click()
  await expect(page.getByText('Ilse’s words')).toBeVisible()
  await expect(page.getByText(/Version 3, /)).toBeVisible()
  await other.close()
})

test('people: invited with a code, comes in, and is signed out everywhere', async ({ page, browser, house }) => {
  await signIn(page)
  await page.goto('/people')
  await page.getByRole('button', { name: 'Invite someone' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Rowan Leat')
  await page.getByLabel('Sign-in name').fill('tilda')
  await page.getByRole('button', { name: 'Make a one-time code' }).click()
  await expect(page.getByRole('alert')).toContainText('Someone has that sign-in name')
  await page.getByLabel('Sign-in name').fill('rowan')
  await page.getByRole('button', { name: 'Make a one-time code' }).click()
  const code = (await page.locator('p.font-mono.text-5xl').textContent()) ?? ''
  await page.getByRole('button', { name: 'Passed on' }).click()
  const other = await browser.newContext({ baseURL: house.url })
  const rowan = await other.newPage()
  await rowan.goto('/sign-in')
  await rowan.getByRole('button', { name: 'I have a one-time code' }).click()
  await rowan.getByLabel('One-time code').fill(code)
  await rowan.getByLabel('Sign-in name').fill('rowan')
  await rowan.getByLabel(/New password/).fill('a loft full of reels')
  await rowan.getByRole('button', { name: 'Set it and enter' }).click()
  await expect(rowan.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible()
  await page.getByRole('button', { name: /Rowan Leat/ }).click()
  await page.getByRole('button', { name: 'Sign out everywhere' }).click()
  await expect(page.getByText('Signed out on every machine.')).toBeVisible()
  await rowan.keyboard.press('5')
  await expect(rowan.getByText('You were signed out')).toBeVisible()
  await other.close()
})

test('the Shelf’s first load is under 200 kB of JavaScript, gzipped, what is fetched ahead included', async ({ page, request }) => {
  await signIn(page)
  const urls = new Set<string>()
  page.on('request', (asked) => {
    if (asked.url().endsWith('.js')) urls.add(asked.url())
  })
  await page.goto('/shelf')
  await expect(page.getByRole('link', { name: /^D8/ })).toBeVisible()
  // all pages that are fetched ahead are asked for at once, with what they need
  const ahead = ['BottlePage', 'FormularyStation', 'BenchCard', 'ScalesStation', 'TanksStation', 'PlanPage']
  await expect.poll(() => ahead.filter((name) => ![...urls].some((url) => url.includes(name)))).toEqual([])
  const sizes = await Promise.all([...urls].map(async (url) => gzipSync(await (await request.get(url)).body()).length))
  expect(sizes.length).toBeGreaterThan(10)
  expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(200_000)
})

for (const [width, height] of [
  [1024, 768],
  [390, 844],
] as const)
  test(`at ${width} × ${height} nothing runs off the side and nothing is out of reach`, async ({ page, house }) => {
    await page.setViewportSize({ width, height })
    await signIn(page)
    const [formula] = await house.ask<{ id: string }>(
      `select formula_id as id from formula_version where body ->> 'name' = 'Soft borax developer'`,
    )
    const [jar] = await house.ask<{ id: string }>(`select id from jar where chemical = 'hydroquinone'`)
    const [bottle] = await house.ask<{ id: string }>(`select id from bottle where letter = 'S' order by number desc limit 1`)
    const [fixer] = await house.ask<{ id: string }>(
      `select id from bottle where letter = 'F' and retired_at is null order by number desc limit 1`,
    )
    const [process_] = await house.ask<{ id: string }>(`select id from instrument where kind = 'process'`)
    for (const path of [
      '/shelf',
      `/shelf/${bottle?.id}`,
      '/formulary',
      `/formulary/${formula?.id}`,
      `/formulary/${formula?.id}/edit`,
      '/formulary/jars',
      '/formulary/chemicals',
      `/formulary/jars/${jar?.id}`,
      `/formulary/compare?one=${formula?.id}&other=${formula?.id}`,
      '/formulary/exchange',
      '/devices',
      '/scales',
      '/proofs',
      `/proofs/clearing-time/${fixer?.id}`,
      `/proofs/process/${process_?.id}`,
      '/proofs/instruments',
      '/proofs/rules',
      '/proofs/film/residual-silver',
      '/shelf/supply',
      '/shelf/waste',
      '/tanks',
      '/tanks/plan',
      '/films',
      '/people',
      '/settings',
    ]) {
      await page.goto(path)
      await expect(page.locator('h1').first()).toBeVisible()
      const over = await page.evaluate(() => {
        const main = document.querySelector('main') as HTMLElement
        return main.scrollWidth - main.clientWidth
      })
      expect([path, over]).toEqual([path, 0])
      if (width === 1024) expect([path, await seriousFaults(page)]).toEqual([path, []])
    }
  })
