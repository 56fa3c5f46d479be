// npm run shots: takes the pictures of docs/screenshots from a fresh demo. Look at each one before you commit it.
import { spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from './lib/build.mjs'
import { chromium as chromiumPath } from './lib/install.mjs'
import { isRoot, root } from './lib/place.mjs'
import { ensureDatabase, startPostgres } from './lib/postgres.mjs'
import { makePicture } from './lib/picture.mjs'
import { step } from './lib/say.mjs'

const { chromium } = await import('@playwright/test')
await build()
const folder = mkdtempSync(join(tmpdir(), 'selvrin-shots-'))
chmodSync(folder, 0o755)
const postgres = await startPostgres(folder, { throwaway: true })
const { startDevices } = await import('../devices/start.mjs')
const devices = await startDevices({ anyPort: true })
const server = spawn(process.execPath, [join(root, 'server/dist/main.mjs')], {
  stdio: ['ignore', 'pipe', 'inherit', 'ipc'],
  env: {
    ...process.env,
    DATABASE_URL: ensureDatabase(postgres.url, 'shots'),
    SELVRIN_KIND: 'demo',
    SELVRIN_EVENING: 'off',
    HOST: '127.0.0.1',
    PORT: '0',
    WEB_DIR: join(root, 'web/dist'),
    ...devices.env,
  },
})
const base = await new Promise((resolve) => {
  let said = ''
  server.stdout.on('data', (chunk) => {
    said += chunk
    const at = /http:\/\/127\.0\.0\.1:\d+/.exec(said)?.[0]
    if (at) resolve(at)
  })
})
const browser = await chromium.launch({ executablePath: chromiumPath(), args: isRoot ? ['--no-sandbox'] : [] })
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: base, locale: 'en-GB' })).newPage()
// nothing typed for a picture is worth asking about
page.on('dialog', (dialog) => void dialog.accept())
const shot = async (name) => {
  await page.evaluate(() => document.fonts.ready)
  await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`), animations: 'disabled' })
  step(`${name}.png`)
}
const pass = async (seconds) => {
  server.send({ advanceMs: seconds * 1000 })
  await page.clock.fastForward(seconds * 1000)
}
const choose = async (field, option) => {
  await page.getByRole('button', { name: new RegExp(`^${field}\\b`) }).click()
  await page.getByRole('option', { name: option }).first().click()
}

try {
  await page.clock.install()
  await page.goto('/sign-in')
  await page.getByRole('button', { name: /Ilse Varn/ }).click()
  await page.getByRole('link', { name: /D9/ }).waitFor()
  await page.locator('main').focus()
  await shot('shelf')
  await page
    .getByRole('link', { name: /Neutral rapid fixer .* left/ })
    .first()
    .click()
  await page.getByRole('heading', { name: 'Ledger' }).waitFor()
  await page
    .getByRole('img', { name: /used, .* aged/ })
    .locator('svg')
    .waitFor()
  await page.locator('main').focus()
  await shot('bottle')
  const developer = await page.evaluate(async () => (await (await fetch('/api/bottles')).json()).rows.find((row) => row.label === 'D9').id)
  const scraps = await makePicture({ width: 1500, height: 1000, densities: [1.2, 0.96, 0.3, 0.6, 0.9, 1.2, 1.5], seed: 4 })
  await page.goto(`/proofs/scrap-density/${developer}`)
  await page.getByRole('button', { name: /skip to it/ }).click()
  await page.locator('input[type=file]').setInputFiles({ name: 'scraps.png', mimeType: 'image/png', buffer: scraps.png })
  const photograph = page.getByRole('img', { name: 'The photograph' })
  await photograph.waitFor()
  for (const [name, area] of [
    ['Empty light', scraps.empty],
    ['Fresh reference', scraps.patches[0].area],
    ['New scrap', scraps.patches[1].area],
    ['Clear film', scraps.patches[2].area],
  ]) {
    await page.getByRole('button', { name, exact: true }).click()
    const box = await photograph.boundingBox()
    await page.mouse.move(box.x + (area.x / 1500) * box.width, box.y + (area.y / 1000) * box.height)
    await page.mouse.down()
    await page.mouse.move(box.x + ((area.x + area.width) / 1500) * box.width, box.y + ((area.y + area.height) / 1000) * box.height)
    await page.mouse.up()
  }
  await page.getByLabel('Developed at').fill('20')
  await page.getByText(/The new scrap has \d+ %/).waitFor()
  await page.locator('main').evaluate((main) => (main.scrollTo(0, 0), main.focus()))
  await shot('photograph')
  await page.goto('/proofs')
  await page.getByRole('link', { name: /^Film in soft borax/ }).click()
  await page.getByText('Contrast is falling').waitFor()
  await shot('control-chart')
  await page.goto('/formulary/jars')
  await page.getByRole('heading', { name: 'To order' }).waitFor()
  await shot('jars')
  await page.goto('/formulary')
  await page.getByRole('link', { name: /^Soft borax developer/ }).click()
  await page.getByLabel('How much to mix').fill('2.5 L')
  await page.getByRole('heading', { name: 'Soft borax developer' }).waitFor()
  await page.getByText('measured').first().waitFor()
  await shot('formula')
  await page.getByRole('button', { name: 'Mix it on the scales' }).click()
  await page.locator('[data-next]').click()
  for (const [grams, name] of [
    ['7.5', 'Sodium sulfite, anhydrous'],
    ['5.0', 'Metol'],
  ]) {
    await page.getByRole('heading', { name }).waitFor()
    await page.getByLabel('The scale says').fill(grams)
    await page.getByRole('button', { name: 'It is in' }).click()
    await page.getByText('Stir until it is clear').waitFor()
    await page.keyboard.press('Space')
  }
  await page.getByText('242.5 g').first().waitFor()
  await page.getByText('Demo: pour powder').click()
  await page.getByLabel('This much').fill('187.4 g')
  await page.getByRole('button', { name: 'Pour', exact: true }).click()
  await page.getByText(/^187\.4/).waitFor()
  await page.getByText('Demo: pour powder').click()
  await page.locator('main').evaluate((main) => main.scrollTo(0, 0))
  await shot('scales')
  await page.goto('/tanks/chart')
  await page
    .getByRole('button', { name: /Millrace 400/ })
    .first()
    .waitFor()
  await page.locator('main').focus()
  await shot('wall-chart')
  await page.goto('/tanks')
  await page.getByRole('heading', { name: 'The same again' }).waitFor()
  await page.getByRole('heading', { name: 'Tanks and drums' }).waitFor()
  await shot('tanks')
  await page.goto('/tanks/processes')
  await page.getByRole('link', { name: /^Colour negative process/ }).click()
  await page.getByRole('button', { name: /^Bleach-fix 6:30/ }).click()
  await page.locator('main').evaluate((main) => main.scrollTo(0, 0))
  await shot('process')
  await page.goto('/trays/coating')
  await page.getByRole('button', { name: 'Begin a print' }).click()
  await page.getByRole('button', { name: 'iron–silver' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Tide gauge')
  await page.getByLabel('Its density range').fill('1.75')
  await page.getByLabel('Coated size').fill('20 × 25')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  for (let drops = 0; drops < 9; drops++) await page.getByRole('button', { name: /^One drop/ }).click()
  await page.locator('main').evaluate((main) => (main.scrollTo(0, 0), main.focus()))
  await shot('coated')
  await page.goto('/trays')
  await page
    .getByRole('link', { name: /^Breakfast in the loft/ })
    .first()
    .click()
  await page.getByText('set the timer to').waitFor()
  await page.locator('main').focus()
  await shot('sheet')
  await page.goto('/trays')
  await page
    .getByRole('link', { name: /^Mud flats/ })
    .first()
    .click()
  await page.getByText('set the timer to').waitFor()
  await page.getByRole('button', { name: 'Strip again' }).click()
  await page.getByLabel('Middle band').fill('16')
  await page.getByRole('dialog').getByRole('button', { name: 'Count it out' }).click()
  await page.locator('[data-left]').waitFor()
  await page.keyboard.press('Space')
  await page.waitForFunction(() => Number(globalThis.document.querySelector('[data-left]')?.textContent) < 5)
  await shot('strip-safelight')
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await page.getByRole('heading', { name: 'Mud flats, November' }).waitFor()
  await page.evaluate(() => globalThis.localStorage.setItem('selvrin.light', 'white'))
  await page.goto('/rota')
  await page.locator('a[href^="/rota/evenings/"]').first().click()
  await page.locator('button[data-load]').first().waitFor()
  await page.keyboard.press('a')
  await page.getByRole('button', { name: 'Take it' }).click({ timeout: 60_000 })
  await page.getByRole('dialog').waitFor({ state: 'detached' })
  await page.locator('main').evaluate((main) => main.scrollTo(0, 0))
  await shot('board')
  await page.goto('/rota/room')
  await page.getByRole('button', { name: 'A new screen' }).click()
  await page.getByLabel('Where it hangs').fill('by the sink')
  await page.getByRole('button', { name: 'Make its key' }).click()
  const wall = (await page.getByText(/\/wall\//).textContent()).trim()
  await page.goto(wall)
  await page.getByRole('heading', { name: 'In the jugs' }).waitFor()
  await shot('wall')
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 800 }, baseURL: base, locale: 'en-GB' })).newPage()
  await phone.goto('/sign-in')
  await phone.getByRole('button', { name: /Tilda Rook/ }).click()
  await phone.getByRole('link', { name: 'Rota' }).click()
  await phone.getByRole('button', { name: 'Hand in rolls' }).click()
  await phone.getByLabel('Film').fill('millr 4')
  await phone.getByRole('option', { name: 'Millrace 400' }).click()
  await phone.getByRole('button', { name: '2', exact: true }).click()
  await phone.evaluate(() => document.fonts.ready)
  await phone.screenshot({ path: join(root, 'docs/screenshots', 'order-phone.png'), animations: 'disabled' })
  step('order-phone.png')
  await phone.context().close()
  await page.goto('/tanks/plan')
  await choose('Film', 'Millrace 400')
  await choose('Owner of film 1', 'Tilda Rook')
  await page.getByRole('button', { name: 'One more film' }).click()
  await choose('Owner of film 2', 'Bram Osier')
  await choose('Tank', /Tank 2/)
  await choose('Developer', /Soft borax developer, 1\+1/)
  await choose('Fixer', /Rapid fixer concentrate, 1\+4/)
  await page.getByLabel('Developer, measured').fill('21.2')
  await page.locator('[data-time]').waitFor()
  await page.locator('main').evaluate((main) => main.scrollTo(0, 0))
  await shot('tank-plan')
  await page.getByRole('button', { name: 'To the beakers' }).click()
  await page.locator('[data-next]').click()
  await page.locator('[data-clock]').waitFor()
  await page.keyboard.press('Space')
  await pass(62)
  await page.getByText('Invert 4 times', { exact: true }).waitFor()
  await page.keyboard.press('l')
  await page.getByText('A screen is no tested safelight').waitFor()
  await pass(90)
  await shot('tank-clock-safelight')
  await page.evaluate(() => localStorage.setItem('selvrin.light', 'white'))
  await page.goto('/sink')
  await page.getByRole('heading', { name: /drums$/ }).waitFor()
  await shot('sink')
} finally {
  await browser.close()
  const gone = new Promise((resolve) => server.once('exit', resolve))
  server.kill('SIGTERM')
  await gone
  devices.stop()
  postgres.stop()
  rmSync(folder, { recursive: true, force: true })
}
