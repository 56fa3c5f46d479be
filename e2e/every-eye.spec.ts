import type { Locator, Page } from '@playwright/test'
import { houseIds } from '@selvrin/core'
import { crowd } from './support/crowd'
import { expect, signIn, test, type House } from './support/house'
import { contrastFaults, faultsOf } from './support/look'
import { focused, visit } from './support/hand'
import { layoutFaults } from './support/measure'

test('every page holds long names and many rows at every width, at text and zoom of 200 %, with three clocks running; axe finds nothing', async ({
  page,
  house,
}) => {
  test.setTimeout(600_000)
  const there = await crowded(house)
  await signIn(page)
  const paths = pagesOf(there)
  const found: string[] = []
  const note = (path: string, at: string, faults: string[]) =>
    found.push(...faults.slice(0, 8).map((fault) => `${path.replace(/[0-9a-f-]{36}/g, '…')} ${at}: ${fault}`))
  for (const path of paths.filter((one) => !process.env.ONLY || one.includes(process.env.ONLY))) {
    await page.setViewportSize({ width: 1280, height: 800 })
    await visit(page, path)
    await expect(page.locator('h1').first()).toBeVisible()
    await expect(page.locator('[data-waiting]')).toHaveCount(0)
    for (const [at, width, height, text] of sizes) {
      await page.setViewportSize({ width, height })
      await page.evaluate((size) => (document.documentElement.style.fontSize = size), text)
      await settled(page)
      note(path, at, await layoutFaults(page))
    }
    await page.evaluate(() => (document.documentElement.style.fontSize = ''))
    await page.setViewportSize({ width: 1280, height: 800 })
    note(path, 'axe', await faultsOf(page))
  }
  expect(found).toEqual([])
})

test('a member’s pages hold as well, on the phone first', async ({ page, house }) => {
  const there = await crowded(house)
  await signIn(page, 'tilda')
  const found: string[] = []
  for (const path of [
    '/shelf',
    '/tanks',
    '/tanks/plan',
    '/rota',
    `/rota/orders/${there.order}`,
    '/rota/printing',
    '/films',
    '/practice',
    '/settings',
  ]) {
    await page.setViewportSize({ width: 390, height: 844 })
    await visit(page, path)
    await expect(page.locator('h1').first()).toBeVisible()
    await expect(page.locator('[data-waiting]')).toHaveCount(0)
    for (const [at, width, height, text] of [...sizes].reverse()) {
      await page.setViewportSize({ width, height })
      await page.evaluate((size) => (document.documentElement.style.fontSize = size), text)
      await settled(page)
      found.push(...(await layoutFaults(page)).slice(0, 8).map((fault) => `${path} ${at}: ${fault}`))
    }
    found.push(...(await faultsOf(page)).map((fault) => `${path} axe: ${fault}`))
  }
  expect(found).toEqual([])
})

test('every panel likewise, and it opens with the focus in it and gives it back', async ({ page, house }) => {
  test.setTimeout(1_200_000)
  const there = await crowded(house)
  await signIn(page)
  const found: string[] = []
  for (const [path, opener] of panels(there).filter(([one]) => !process.env.ONLY || one.includes(process.env.ONLY))) {
    if (new URL(page.url()).pathname !== path) await visit(page, path)
    await expect(page.locator('h1').first()).toBeVisible()
    const button = page.getByRole('main').getByRole('button', { name: opener }).first()
    await button.press('Enter', { timeout: 10_000 })
    const dialog = page.getByRole('dialog')
    await expect(dialog, `${path} ${String(opener)}`).toHaveCount(1)
    // what is worked out while a panel stands is looked at, too
    await expect(dialog.getByText('Looking for a plan')).toHaveCount(0, { timeout: 60_000 })
    const note = (at: string, faults: string[]) =>
      found.push(...faults.slice(0, 6).map((fault) => `${path.replace(/[0-9a-f-]{36}/g, '…')} ${String(opener)} ${at}: ${fault}`))
    for (const [at, width, height] of sizes.slice(0, 4)) {
      await page.setViewportSize({ width, height })
      await settled(page)
      note(at, await layoutFaults(page, '[role="dialog"]'))
    }
    await page.setViewportSize({ width: 1280, height: 800 })
    note('axe', await faultsOf(page, '[role="dialog"]'))
    if ((await page.locator('[role="dialog"] :focus').count()) === 0) note('focus', ['is not in the panel'])
    await page.keyboard.press('Escape')
    await expect(dialog).toHaveCount(0)
    if (!(await back(button))) note('focus', [`is not given back but at “${await focused(page)}”`])
  }
  expect(found).toEqual([])
})

test('the wall holds long names whole at every screen, in white and in safelight, and never scrolls', async ({ page, browser, house }) => {
  await crowded(house)
  await signIn(page)
  await page.goto('/rota/room')
  await page.getByRole('button', { name: 'A new screen' }).click()
  await page.getByLabel('Where it hangs').fill('by the sink')
  await page.getByRole('button', { name: 'Make its key' }).click()
  const address = (await page.getByText(/\/wall\//).textContent())?.trim() ?? ''
  const context = await browser.newContext()
  const wall = await context.newPage()
  const found: string[] = []
  for (const [width, height] of [
    [1280, 800],
    [1920, 1080],
    [1024, 768],
    [390, 844],
  ] as const) {
    await wall.setViewportSize({ width, height })
    await wall.goto(address)
    await expect(wall.getByRole('heading', { name: 'In the jugs' })).toBeVisible()
    await settled(wall)
    found.push(...(await layoutFaults(wall)).map((fault) => `at ${width}: ${fault}`))
    const below = await wall.evaluate(() => document.documentElement.scrollHeight - innerHeight)
    if (width > 700 && below > 0) found.push(`at ${width}: ${below} px are below the edge`)
    // every line that is in sight is whole
    const cut = await wall.getByRole('listitem').evaluateAll((lines) =>
      lines.flatMap((line) => {
        const [box, list] = [line.getBoundingClientRect(), line.parentElement!.getBoundingClientRect()]
        const seen = getComputedStyle(line).visibility !== 'hidden'
        return seen && (box.left >= list.right - 1 || box.bottom > list.bottom + 1) ? [line.textContent.trim()] : []
      }),
    )
    if (width > 700) found.push(...cut.map((text) => `at ${width} cut: ${text}`))
  }
  await wall.setViewportSize({ width: 1280, height: 800 })
  found.push(...(await faultsOf(wall)).map((fault) => `axe: ${fault}`))
  await wall.goto(`${address}?light=safelight`)
  await expect(wall.locator('html')).toHaveAttribute('data-light', 'safelight')
  await expect(wall.getByRole('heading', { name: 'In the jugs' })).toBeVisible()
  found.push(...(await contrastFaults(wall)).map((fault) => `in safelight: ${fault}`))
  expect(found).toEqual([])
  await context.close()
})

const rooms = ['/shelf', '/formulary', '/scales', '/proofs', '/tanks', 'the rest'] as const
for (const room of rooms)
  test(`in safelight every text stands out from black as it is shown: ${room}`, async ({ page, house }) => {
    test.setTimeout(120_000)
    const there = await crowded(house)
    await signIn(page)
    await page.keyboard.press('l')
    await expect(page.locator('html')).toHaveAttribute('data-light', 'safelight')
    const of = (path: string) => rooms.find((one) => path.startsWith(one)) ?? 'the rest'
    const found: string[] = []
    for (const path of pagesOf(there).filter((one) => of(one) === room)) {
      await visit(page, path)
      await expect(page.locator('h1').first()).toBeVisible()
      await expect(page.locator('[data-waiting]')).toHaveCount(0)
      found.push(...(await contrastFaults(page)).map((fault) => `${path.replace(/[0-9a-f-]{36}/g, '…')}: ${fault}`))
    }
    expect(found).toEqual([])
  })

test('what is printed is printed whole: nothing scrolls, nothing to press is on it', async ({ page, house }) => {
  const there = await crowded(house)
  await signIn(page)
  await page.emulateMedia({ media: 'print' })
  // an A4 sheet upright
  await page.setViewportSize({ width: 794, height: 1123 })
  for (const path of ['/tanks/chart', `/formulary/${there.formula}`, '/shelf/supply', '/formulary/jars', `/shelf/${there.bottle}`]) {
    await page.goto(path)
    await expect(page.locator('h1').first()).toBeVisible()
    await expect(page.locator('[data-waiting]')).toHaveCount(0)
    const inside = await page.evaluate(() => {
      const main = document.querySelector('main') as HTMLElement
      return {
        cut: main.scrollHeight - main.clientHeight,
        wide: document.documentElement.scrollWidth - document.documentElement.clientWidth,
      }
    })
    expect([path, inside]).toEqual([path, { cut: 0, wide: 0 }])
    for (const bar of await page.locator('header:visible, nav:visible, .button:visible').all()) expect(await bar.textContent()).toBe('')
  }
})

let there: Awaited<ReturnType<typeof crowd>> | null = null
/** The crowd comes once into the house of this file. */
async function crowded(house: House) {
  there ??= await crowd(house)
  const [process_] = await house.ask<{ id: string }>(`select id from instrument where kind = 'process'`)
  const [fixer] = await house.ask<{ id: string }>(
    `select b.id from bottle b join formula_version v on v.id = b.formula_version_id where b.letter = 'F' and b.retired_at is null and v.body -> 'use' ->> 'school' = 'two-bath' order by b.number desc limit 1`,
  )
  const [member] = await house.ask<{ id: string }>(`select id from person where login = 'tilda'`)
  const [print] = await house.ask<{ id: string }>(
    `select s.id from sheet s where not s.done and s.title <> 'Breakfast in the loft' and (select t.plan ->> 'kind' from print_try t where t.sheet_id = s.id order by seq desc limit 1) = 'print' limit 1`,
  )
  const [colour] = await house.ask<{ id: string }>(`select id from sheet where title = 'Breakfast in the loft'`)
  const [coated] = await house.ask<{ id: string }>('select id from coated where ended_at is null limit 1')
  return {
    ...there,
    print: print?.id ?? '',
    colour: colour?.id ?? '',
    coated: coated?.id ?? '',
    member: member?.id ?? '',
    process: process_?.id ?? '',
    fixer: fixer?.id ?? '',
  }
}

/** Every page of a technician’s. */
const pagesOf = (there: Awaited<ReturnType<typeof crowded>>): string[] => [
  '/shelf',
  `/shelf/${there.bottle}`,
  '/shelf/supply',
  '/sink',
  `/sink/drums/${there.drum}`,
  '/sink/lines',
  '/sink/spills',
  '/sink/checks',
  '/sink/year',
  '/exposures',
  '/people/training',
  `/people/${there.member}/training`,
  '/sink/collections',
  '/sink/silver',
  '/sink/drain',
  '/sink/facts',
  '/formulary',
  `/formulary/${there.formula}`,
  `/formulary/${there.formula}/edit`,
  '/formulary/new',
  '/formulary/jars',
  '/formulary/jars/count',
  `/formulary/jars/${there.jar}`,
  '/formulary/chemicals',
  `/formulary/compare?one=${there.formula}&other=${there.formula}`,
  '/formulary/exchange',
  '/starter',
  '/scales',
  `/scales/${there.mix}`,
  '/proofs',
  `/proofs/clearing-time/${there.fixer}`,
  `/proofs/process/${there.process}`,
  '/proofs/instruments',
  '/proofs/rules',
  '/proofs/film/residual-silver',
  '/tanks',
  '/tanks/chart',
  '/tanks/plan',
  '/tanks/processes',
  `/tanks/processes/${houseIds['colour-negative']}`,
  `/tanks/${there.run}`,
  '/tanks/bath',
  '/tanks/clocks',
  '/films',
  '/trays',
  `/trays/prints/${there.print}`,
  '/trays/stock',
  '/trays/line',
  `/trays/ring/${there.colour}`,
  '/trays/trainer',
  '/trays/toning',
  '/trays/coating',
  `/trays/coated/${there.coated}`,
  '/rota',
  `/rota/orders/${there.order}`,
  `/rota/evenings/${there.evening}`,
  `/rota/evenings/${there.evening}/prep`,
  '/rota/room',
  '/rota/weeks',
  '/rota/printing',
  '/films/pairs',
  `/films/trace?bottle=${there.bottle}`,
  '/formulary/kits',
  '/people',
  '/people/letters',
  `/people/${there.member}`,
  '/practice',
  '/devices',
  '/settings',
]

/** Each panel by its page and the button that opens it. */
const panels = (at: Awaited<ReturnType<typeof crowded>>): [string, RegExp | string][] => [
  ['/shelf', 'Shelves'],
  ...['Make working strength', 'Pour, top up', 'Decant', 'Measured', 'Move', 'Use it otherwise', 'Wrong bottle', 'Retire'].map(
    (name): [string, RegExp] => [`/shelf/${at.bottle}`, new RegExp(`^${name}`)],
  ),
  ...['Poured back', 'Pair, move up', 'Take back'].map((name): [string, RegExp] => [`/shelf/${at.fixer}`, new RegExp(`^${name}`)]),
  ['/formulary/jars', 'A new jar'],
  [`/formulary/jars/${at.jar}`, 'Edit'],
  [`/formulary/jars/${at.jar}`, /^Take, fill up/],
  [`/formulary/jars/${at.jar}`, /^Take back/],
  [`/formulary/jars/${at.jar}`, /label/],
  ['/formulary/chemicals', 'One of our own'],
  ['/formulary/chemicals', /^Edit/],
  [`/scales/${at.mix}`, 'Give this mix up'],
  [`/proofs/process/${at.process}`, 'The limits'],
  ['/proofs/instruments', /^Compare/],
  ['/proofs/instruments', /^Coin test/],
  ['/proofs/rules', 'Another test'],
  ['/tanks', 'Add a tank'],
  ['/tanks', /^Change /],
  [`/tanks/processes/${houseIds['colour-negative']}`, /^Steps of another/],
  ['/tanks/chart', 'A new row'],
  ['/tanks/chart', /\d:\d\d/],
  [`/tanks/${at.run}`, /^Temperature/],
  [`/tanks/${at.run}`, /^Give up/],
  [`/tanks/${at.run}`, /^Otherwise/],
  ['/trays', 'Begin a print'],
  [`/trays/prints/${at.print}`, /^Strip again/],
  [`/trays/prints/${at.print}`, /^A place more/],
  ['/trays/line', 'Prints went through'],
  ['/trays/line', /^Replace/],
  ['/trays/line', 'A tone shows'],
  ['/trays/line', 'Close the line'],
  ['/trays/stock', 'Match two strips'],
  ['/trays/stock', 'Standard contact time'],
  ['/trays/stock', 'Dials by wedges'],
  ['/trays/stock', 'What a dial costs'],
  [`/trays/prints/${at.colour}`, 'Beside a grey card'],
  [`/trays/prints/${at.print}`, 'Another size or paper'],
  ['/trays/stock', 'A new paper'],
  ['/trays/stock', 'A new enlarger'],
  ['/trays/stock', /^A box came in/],
  ['/trays/stock', /^Count it/],
  ['/rota', /^Hand in rolls/],
  ['/rota', 'Plan an evening'],
  [`/rota/evenings/${at.evening}`, /^Put in/],
  [`/rota/evenings/${at.evening}`, /^Arrange/],
  [`/rota/evenings/${at.evening}`, /^What would help/],
  [`/rota/evenings/${at.evening}`, /^People, hours/],
  [`/rota/evenings/${at.evening}`, 'Who prints'],
  ['/rota/printing', /free.*book$/],
  ['/rota/room', 'Something is wrong'],
  ['/sink', 'Pour by hand'],
  ['/sink', 'A new drum'],
  ['/sink', /^Another way/],
  ['/sink', /^Down the drain/],
  [`/sink/drums/${at.drum}`, 'Weigh it'],
  [`/sink/drums/${at.drum}`, 'Tray, cap'],
  [`/sink/drums/${at.drum}`, /^Something wrong/],
  [`/sink/drums/${at.drum}`, /^Take back/],
  ['/sink/collections', /^Arrange/],
  ['/sink/collections', /^They have it/],
  ['/sink/spills', /^Strike it out/],
  ['/exposures', 'Write a note'],
  [`/people/${at.member}/training`, /^Was shown it.*loading sheets/],
  [`/people/${at.member}/training`, /^Take it away.*loading 135/],
  ['/sink/checks', 'Something new'],
  ['/sink/checks', /^Flush it/],
  ['/sink/checks', /^Count them/],
  ['/sink/silver', /^Write a recovery/],
  ['/sink/drain', /^A paper allows/],
  ['/rota/room', 'A new screen'],
  ['/settings', 'A new address'],
  [`/rota/orders/${at.order}`, 'Want something else'],
  [`/rota/orders/${at.order}`, /^Take it back/],
  ['/formulary/kits', 'Write down a kit'],
  ['/films', /^Cut and sleeve/],
  ['/films', /^Read its densities/],
  ['/films/pairs', /look at the proposed time/],
  ['/people', 'Invite someone'],
  ['/people', /^Bram/],
  [`/people/${at.member}`, 'Allow a process'],
  [`/people/${at.member}`, /^Change /],
  ['/practice', /at \d+×$/],
  ['/devices', 'Add a device'],
  ['/devices', 'Edit'],
]

const sizes = [
  ['at 1280', 1280, 800, ''],
  ['at 1024', 1024, 768, ''],
  ['at 390', 390, 844, ''],
  ['zoomed to 200 %', 640, 400, ''],
  ['text at 200 %', 1280, 800, '200%'],
] as const

/** Whether it has the focus soon. */
const back = (button: Locator): Promise<boolean> =>
  expect(button)
    .toBeFocused({ timeout: 2000 })
    .then(() => true)
    .catch(() => false)

/** The layout has followed the window: it is drawn, or, where a machine that is busy draws late, worked out a good while ago. */
const settled = (page: Page) =>
  page.evaluate(
    () =>
      new Promise((done) => {
        setTimeout(done, 600)
        requestAnimationFrame(() => requestAnimationFrame(done))
      }),
  )
