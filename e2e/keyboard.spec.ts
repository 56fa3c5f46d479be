import { chooseByKeys, focused, listen, tabTo, typeInto } from './support/hand'
import { expect, pass, signIn, test } from './support/house'

test('by the keyboard alone: mixing, testing, planning, a run; the focus is never lost', async ({ page, house }) => {
  test.setTimeout(240_000)
  await page.clock.install()
  const [fixer] = await house.ask<{ label: string; id: string }>(
    `select b.id, b.letter || b.number as label from bottle b join formula_version v on v.id = b.formula_version_id
     where v.body ->> 'name' = 'Neutral rapid fixer' and b.retired_at is null and exists (select from bottle_entry e where e.bottle_id = b.id and e.run_id is not null) order by b.made_at desc limit 1`,
  )
  const key = (name: string) => page.keyboard.press(name)
  /** What is heard after an act, and where one stands then. */
  const stands = (name: RegExp) => expect.poll(() => focused(page)).toMatch(name)

  /** A page or a step is heard by its heading. */
  const hears = (name: RegExp) => expect(page.locator('h1:focus')).toHaveText(name)

  await test.step('in', async () => {
    await page.goto('/sign-in')
    await typeInto(page, /^Sign-in name/, 'ilse')
    await typeInto(page, /^Password/, 'tide-mill-loft')
    await key('Enter')
    await hears(/^Shelf$/)
    expect(await page.title()).toBe('Shelf · Selvrin')
  })

  await test.step('a mix', async () => {
    await key('3')
    await hears(/^Scales$/)
    // a machine that does other things beside fetches the list a moment later
    await expect(page.getByRole('link', { name: /Plain metol developer$/ })).toBeVisible()
    await tabTo(page, /Plain metol developer$/)
    await key('Enter')
    await hears(/Plain metol developer$/)
    await tabTo(page, 'Mix it on the scales')
    await key('Enter')
    await hears(/^Water$/)
    await tabTo(page, 'The water is ready')
    await key('Enter')
    for (const [grams, name] of [
      ['3', /^Sodium sulfite/],
      ['7.5', /^Metol$/],
      ['97', /^Sodium sulfite/],
    ] as const) {
      await hears(name)
      await typeInto(page, /^The scale says/, grams)
      await key('Enter')
      await stands(/^Dissolved, next$/)
      await key('Enter')
    }
    await hears(/^Cold water to the mark$/)
    await tabTo(page, 'Topped up')
    await key('Enter')
    await hears(/^Measure, bottle, label$/)
    await tabTo(page, 'Put it on the shelf')
    await key('Enter')
    await hears(/^D\d+$/)
  })

  await test.step('a test', async () => {
    await key('4')
    await stands(/^(Proofs|Test )/)
    await chooseByKeys(page, /^Bottle/, fixer?.label ?? '')
    await tabTo(page, 'Clearing time')
    await key('Enter')
    await hears(/^Clearing time$/)
    for (const says of ['Space', 'Space', 'Space', 'Space']) await key(says)
    await tabTo(page, 'Done, read it')
    await key('Enter')
    const heard = await listen(page)
    await typeInto(page, /^Clearing time, s/, '84')
    await typeInto(page, /^Its temperature/, '20')
    await page.clock.runFor(1500)
    // the verdict is said once the typing rests, not at every key
    const verdicts = (await heard()).filter((text) => /^(Keep|Marginal|Failed)\./.test(text))
    expect(verdicts.length).toBe(1)
    await tabTo(page, 'Write it down')
    await key('Enter')
    await page.clock.runFor(1500)
    await stands(/./)
    await expect.poll(async () => (await heard()).join(' ')).toContain('Written down.')
  })

  await test.step('a plan and its run', async () => {
    await key('5')
    await stands(/Tanks|films|Millrace|Saltpan/)
    await tabTo(page, 'Plan a run')
    await key('Enter')
    await hears(/^Plan a run$/)
    await chooseByKeys(page, /^Film/, 'Millrace 400')
    await chooseByKeys(page, /^Owner of film 1/, 'Tilda')
    await tabTo(page, 'To the beakers')
    await key('Enter')
    await hears(/^Run \d+/)
    await tabTo(page, 'All measured out, to the clock')
    await key('Enter')
    await expect(page.locator('[data-cue]')).toBeVisible()
    const heard = await listen(page)
    await key('Space')
    await pass(page, house, 15)
    // cues are said; the clock's own figures are not
    const told = await heard()
    expect(told.join(' ')).toMatch(/Pour in|Invert|Rest/)
    expect(told.filter((text) => /^\d+:\d\d$/.test(text))).toEqual([])
    await key('h')
    await key('h')
    await expect(page.locator('[data-told][aria-live]')).toHaveText(/held at its end/)
    // Space on a focused button presses it
    await tabTo(page, /^Temperature/)
    await key('Space')
    await stands(/Measured|Temperature/)
    await key('Escape')
    await stands(/^Temperature/)
    // a button that a pointer pressed lets go of the focus, and keeps it let go: the next Space is the clock's
    await page.getByRole('button', { name: /^Do not hold/ }).click()
    await page.clock.runFor(1000)
    expect(await focused(page)).toBe('')
  })
})

test('over the accessibility tree: mixing, testing, planning and a run by roles and names alone, and nothing to press is without a name', async ({
  page,
  house,
}) => {
  test.setTimeout(240_000)
  const [fixer] = await house.ask<{ label: string }>(
    `select b.letter || b.number as label from bottle b join formula_version v on v.id = b.formula_version_id
     where v.body ->> 'name' = 'Neutral rapid fixer' and b.retired_at is null order by b.made_at desc limit 1`,
  )
  await signIn(page)
  /** The tree of the page as it stands: its landmarks, one first heading, a name on everything that is pressed or typed in. */
  const tree = async (heading: RegExp): Promise<string> => {
    await expect(page.getByRole('heading', { level: 1, name: heading })).toHaveCount(1)
    await expect(page.locator('[data-waiting]')).toHaveCount(0)
    const lines = (await page.locator('body').ariaSnapshot()).split('\n')
    expect(
      lines.filter((line) =>
        /^\s*- (button|link|textbox|combobox|switch|checkbox|radio|slider|option|tab|img)( \[[^\]]*\])*:?$/.test(line),
      ),
    ).toEqual([])
    for (const landmark of ['banner', 'main', 'navigation']) expect(lines.some((line) => line.includes(`- ${landmark}`))).toBe(true)
    return lines.join('\n')
  }
  const press = (name: RegExp | string) => page.getByRole('button', { name }).first().click()
  const write = (name: RegExp | string, text: string) => page.getByRole('textbox', { name }).fill(text)
  const take = async (field: RegExp, option: RegExp) => {
    await page.getByRole('button', { name: field }).click()
    await page.getByRole('option', { name: option }).first().click()
  }

  await test.step('a mix', async () => {
    await page.getByRole('link', { name: /^Scales/ }).click()
    expect(await tree(/^Scales$/)).toContain('To be mixed')
    await page.getByRole('link', { name: /Plain metol developer$/ }).click()
    await tree(/Plain metol developer$/)
    await press('Mix it on the scales')
    expect(await tree(/^Water$/)).toMatch(/heading "1.00 L Plain metol developer/)
    await press('The water is ready')
    expect(await tree(/^Sodium sulfite/)).toContain('Step 1')
    await write(/The scale says/, '3')
    await press('It is in')
    await press('Dissolved, next')
    // the step of the ladder one stands on is told
    expect(await tree(/^Metol$/)).toMatch(/listitem \[.*current.*\]|listitem.*Metol/)
    await expect(page.getByRole('img', { name: /of 7\.50 g, accepted from/ })).toBeVisible()
  })

  await test.step('a test', async () => {
    await page.getByRole('link', { name: /^Proofs/ }).click()
    await tree(/^Proofs$/)
    await take(/^Bottle/, new RegExp(`^${fixer?.label} `))
    await page.getByRole('link', { name: 'Clearing time' }).last().click()
    await tree(/^Clearing time$/)
    await press(/^I know the reading/)
    await write(/^Clearing time, s/, '84')
    await write(/^Its temperature/, '20')
    expect(await tree(/^Clearing time$/)).toMatch(/Keep|Marginal|Failed/)
    await press('Write it down')
    await expect(page.getByRole('status').filter({ hasText: /^Written down\./ })).toHaveCount(1)
  })

  await test.step('a plan and its run', async () => {
    await page.getByRole('link', { name: /^Tanks/ }).click()
    await tree(/^Tanks$/)
    await page.getByRole('link', { name: 'Plan a run' }).click()
    await tree(/^Plan a run$/)
    await take(/^Film/, /^Millrace 400/)
    await take(/^Owner of film 1/, /^Tilda/)
    // the first tank holds the run of the walk before
    await take(/^Tank/, /^Tank 2/)
    await tree(/^Plan a run$/)
    await press('To the beakers')
    await tree(/^Run \d+/)
    await press('All measured out, to the clock')
    await expect(page.getByRole('timer')).toBeVisible()
    await press(/^Pouring, start/)
    await expect(page.getByRole('timer')).toHaveAccessibleName(/^Develop, \d+:\d\d$/)
    await press(/^Temperature/)
    await expect(page.getByRole('dialog', { name: 'Temperature in the tank' })).toHaveCount(1)
    await write('Measured', '20')
    await press('Write it down')
    await press(/^Give up/)
    await expect(page.getByRole('dialog', { name: /^Give run \d+ up$/ })).toHaveCount(1)
    await press('Not now')
  })
})
