import { houseProcesses, readPlan, usesAtEnd, usesAtStart, type Plan } from '@selvrin/core'
import type { Page } from '@playwright/test'
import { choose, doNext, expect, pass, signIn, test, type House } from './support/house'

/** What a walk chooses beside its process; everything else is what the page proposes. */
interface Walk {
  process: string
  /** of the chart, or written down */
  film: string
  ei?: string
  tank?: RegExp
  baths?: [role: string, bottle: RegExp][]
  /** steps that are in the plan, by key, in order */
  steps: string[]
}
const fills = ['wash-1', 'wash-2', 'wash-3', 'wetting-agent']
const walks: Walk[] = [
  { process: 'Black-and-white negative', film: 'Millrace 100', steps: ['develop', 'stop', 'fix', ...fills] },
  {
    process: 'Black-and-white negative, rotary drum',
    film: 'Millrace 400',
    tank: /Drum/,
    steps: ['pre-wet', 'develop', 'stop', 'fix', 'wash-changes', 'wetting-agent'],
  },
  { process: 'Monobath', film: 'Millrace 400', ei: '400', steps: ['monobath', ...fills] },
  {
    process: 'Colour negative process',
    film: 'Harbour colour 200',
    ei: '200',
    baths: [['Colour developer', /Colour negative developer/]],
    steps: ['pre-heat', 'developer', 'bleach-fix', 'wash', 'stabiliser'],
  },
  {
    process: 'Colour slide process, three baths',
    film: 'Harbour slide 100',
    ei: '100',
    baths: [
      ['First developer', /Slide first developer/],
      ['Colour developer with reversal agent', /Slide colour developer/],
    ],
    steps: ['pre-heat', 'first-developer', 'wash-first', 'colour-developer', 'wash-colour', 'bleach-fix', 'wash', 'stabiliser'],
  },
  {
    process: 'Colour slide process, six baths',
    film: 'Harbour slide 100',
    ei: '100',
    baths: [
      ['First developer', /Slide first developer/],
      ['Colour developer', /Slide colour developer/],
      ['Bleach', /Slide bleach/],
    ],
    steps: [
      'pre-heat',
      'first-developer',
      'wash-first',
      'reversal-bath',
      'colour-developer',
      'conditioner',
      'bleach',
      'fixer',
      'wash',
      'stabiliser',
    ],
  },
  {
    process: 'Black-and-white slide',
    film: 'Saltpan 50',
    ei: '50',
    baths: [
      ['First developer', /Clear-highlight first developer/],
      ['Permanganate bleach', /Permanganate bleach, working/],
    ],
    steps: [
      ...[
        'first-developer',
        'wash-developer',
        'bleach',
        'wash-bleach',
        'clear',
        'wash-clear',
        're-expose',
        'second-developer',
        'rinse-second',
        'fix',
      ],
      ...fills,
    ],
  },
  { process: 'Colour film in black-and-white chemistry', film: 'Millrace 400', steps: ['pre-wet', 'develop', 'stop', 'fix', ...fills] },
  {
    process: 'Slide film, crossed',
    film: 'Harbour slide 100',
    ei: '100',
    baths: [
      ['Strong metol–hydroquinone developer', /Loft print developer.*1\+2/],
      ['Colour-negative developer', /Colour negative developer/],
    ],
    steps: ['first-developer', 'wash-first', 're-expose', 'warm-up', 'colour-developer', 'bleach-fix', 'wash', 'stabiliser'],
  },
]

/** The working bleach is poured together from its two parts, as on the evening it is used. */
async function pourBleach(page: Page): Promise<void> {
  await page.goto('/formulary')
  await page.getByLabel(/Find/).first().fill('permanganate bleach, working')
  await page.getByRole('link', { name: /Permanganate bleach, working/ }).click()
  await page.getByLabel('How much to make').fill('600 ml')
  await page.getByRole('button', { name: 'Poured together' }).click()
  await expect(page.getByRole('heading', { name: /Permanganate bleach, working/ })).toBeVisible()
}

/** Runs a clock to its end, as fast as it may be pressed: every pour and every wait takes its press, every other time passes. */
async function toTheEnd(page: Page, house: House): Promise<void> {
  const out = page.getByRole('heading', { name: /^Run \d+ is out$/ })
  const cue = page.locator('[data-cue]')
  await expect(cue).toBeVisible()
  for (let i = 0; i < 80; i++) {
    if (await out.isVisible()) return
    const says = (await cue.textContent({ timeout: 5000 }).catch(() => '')) ?? ''
    if (/^Pour in:|Time is up|Held|Begin|Open/.test(says)) {
      const before = await page.locator('[data-told]').textContent()
      await page.keyboard.press('Space')
      await expect
        .poll(
          async () =>
            (await out.isVisible()) || (await page.locator('[data-told]').textContent()) !== before || (await cue.textContent()) !== says,
        )
        .toBe(true)
      continue
    }
    const left = /(\d+):(\d\d)$/.exec((await page.locator('[data-clock]').textContent()) ?? '')
    await pass(page, house, left ? Number(left[1]) * 60 + Number(left[2]) + 1 : 20)
  }
  throw new Error('The clock did not come to its end.')
}

/** What the ledgers hold of a run, by bottle, as the plan says it. */
const said = (plan: Plan) =>
  [...usesAtStart(plan), ...usesAtEnd(plan)]
    .map((use) => `${use.bottleId} ${use.kind} step ${use.step} ${use.ml.toFixed(2)} ml ${use.rolls.toFixed(2)} rolls`)
    .sort()

test('each of the house’s processes can be walked', () =>
  expect(walks.map((one) => one.process).sort()).toEqual(houseProcesses.map((one) => one.name).sort()))

for (const walk of walks)
  test(`${walk.process}: planned, run to its end, and every bottle and film has its record`, async ({ page, house }) => {
    test.setTimeout(120_000)
    await page.clock.install()
    await signIn(page)
    if (walk.process === 'Black-and-white slide') await pourBleach(page)
    await page.goto('/tanks/plan')
    await choose(page, 'Process', new RegExp(`^(✓ )?${walk.process}$`))
    if (walk.ei) {
      await page.getByLabel('Film', { exact: true }).fill(walk.film)
      await page.getByLabel('Exposed at').fill(walk.ei)
    } else await choose(page, 'Film', walk.film)
    await choose(page, 'Owner of film 1', 'Tilda Rook')
    await choose(page, 'Tank', walk.tank ?? /Tank 2/)
    for (const [role, bottle] of walk.baths ?? []) await choose(page, role, bottle)
    await page.getByRole('button', { name: 'To the beakers' }).click()
    await doNext(page, 'All measured out, to the clock')
    await expect(page.locator('[data-cue]')).toBeVisible()
    const [run] = await house.ask<{ id: string; plan: unknown }>(`select id, plan from run where state = 'running'`)
    const plan = readPlan(run?.plan)
    expect(plan.findings.filter((one) => one.severity !== 'advice').map((one) => one.rule)).toEqual([])
    expect(plan.steps.map((step) => step.key)).toEqual(walk.steps)
    const promised = await house.ask<{ step_key: string; bottle_id: string }>(
      `select step_key, bottle_id from run_bath where run_id = $1`,
      [run?.id],
    )
    expect(promised.map((one) => one.step_key).sort()).toEqual(
      plan.steps
        .filter((step) => step.bottle && !(typeof step.liquid === 'object' && 'savedFrom' in step.liquid))
        .map((step) => step.key)
        .sort(),
    )

    await toTheEnd(page, house)
    await doNext(page)
    await expect(page.getByText(walk.film).first()).toBeVisible()
    await expect
      .poll(async () => (await house.ask<{ state: string }>(`select state from run where id = $1`, [run?.id]))[0]?.state)
      .toBe('done')
    const lines = await house.ask<{ line: string }>(
      `select bottle_id || ' ' || kind || ' step ' || step || ' ' || to_char(ml, 'FM999990.00') || ' ml ' || to_char(coalesce((throughput -> 0 ->> 'equivalents')::numeric, 0), 'FM990.00') || ' rolls' as line
       from bottle_entry where run_id = $1 and kind in ('dilute-out', 'use')`,
      [run?.id],
    )
    expect(lines.map((one) => one.line).sort()).toEqual(said(plan))
    const [film] = await house.ask<{ developer: string; developed_s: string | null; ei: number }>(
      `select developer, developed_s, ei from roll where run_id = $1`,
      [run?.id],
    )
    expect(film?.developer).not.toBe('')
    expect(Number(film?.developed_s)).toBeGreaterThan(60)
    // nothing is promised any more, and the bottles are there again
    expect(
      await house.ask(`select 1 from run r join run_bath b on b.run_id = r.id where r.id = $1 and r.state in ('planned', 'running')`, [
        run?.id,
      ]),
    ).toEqual([])
  })
