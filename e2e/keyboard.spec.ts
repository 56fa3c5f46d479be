import { chooseByKeys, focused, listen, tabTo, typeInto } from './support/hand'
import { expect, pass, test } from './support/house'

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
