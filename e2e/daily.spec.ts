import type { Page } from '@playwright/test'
import { expect, signIn, test } from './support/house'

/** Presses keys and counts them; what is typed as a name or a reading is not counted. */
function keys(page: Page) {
  let count = 0
  return {
    press: async (...pressed: string[]) => {
      for (const key of pressed) {
        await page.keyboard.press(key)
        count++
      }
    },
    typed: (text: string) => page.keyboard.type(text),
    take: () => {
      const taken = count
      count = 0
      return taken
    },
  }
}

test('the five commonest acts by keyboard alone, counted', async ({ page, house }) => {
  test.setTimeout(120_000)
  const said: string[] = []
  const counted = (act: string, taken: number, most: number) => {
    said.push(`${act}: ${taken} keys of ${most}`)
    expect([act, taken <= most]).toEqual([act, true])
  }
  await signIn(page)
  const hand = keys(page)
  const find = page.getByRole('combobox', { name: /Name, label, code/ })
  const chosen = page.getByRole('option', { selected: true })

  // tally 2 rolls
  const [fixer] = await house.ask<{ label: string }>(
    `select b.letter || b.number as label from bottle b join formula_version v on v.id = b.formula_version_id where v.body ->> 'name' = 'Neutral rapid fixer' and retired_at is null order by made_at desc limit 1`,
  )
  await page.locator('main').focus()
  await page.keyboard.press('/')
  await expect(find).toBeFocused()
  await hand.typed(fixer?.label ?? '')
  await expect(chosen).toContainText(`${fixer?.label} `)
  await hand.press('ArrowDown')
  await expect(chosen).toContainText(`Tally 2 rolls through ${fixer?.label}`)
  await hand.press('Enter')
  await expect(page.getByText(`${fixer?.label}: poured back, 2 rolls.`)).toBeVisible()
  counted('tally 2 rolls', hand.take(), 2)
  await page.keyboard.press('Escape')

  // dilute 500 ml 1+1
  const [stock] = await house.ask<{ label: string }>(
    `select b.letter || b.number as label from bottle b join formula_version v on v.id = b.formula_version_id where v.body ->> 'name' = 'Soft borax developer' and parts is null and retired_at is null order by made_at limit 1`,
  )
  await page.locator('main').focus()
  await page.keyboard.press('/')
  await hand.typed(`dilute ${stock?.label}`)
  await expect(chosen).toContainText(`Dilute ${stock?.label}`)
  await hand.press('Enter')
  await expect(page.getByLabel('Make', { exact: true })).toBeFocused()
  await expect(page.getByLabel('Dilution')).toHaveValue('1+1')
  await hand.press('5', '0', '0')
  await hand.press('Enter')
  await expect(page.getByText(/1\+1 from/)).toBeVisible()
  counted('dilute 500 ml 1+1', hand.take(), 8)

  // a developing time at the developer's present temperature
  await page.locator('main').focus()
  await hand.press('/')
  await hand.typed('mill')
  await expect(page.getByRole('option', { name: /Time.*Millrace 400.*\d+:\d\d at .*°C/ }).first()).toBeVisible()
  counted('a developing time', hand.take(), 3)
  await page.keyboard.press('Escape')

  // a due clearing test
  await page.locator('main').focus()
  await hand.press('4')
  const first = page.getByRole('link', { name: /^Test F/ }).first()
  await expect(first).toBeVisible()
  let tabs = 0
  while (!(await first.evaluate((element) => element === document.activeElement)) && tabs++ < 3) await hand.press('Tab')
  await hand.press('Enter')
  await expect(page.getByRole('button', { name: /I know the reading/ })).toBeVisible()
  await hand.press('r')
  await hand.typed('75')
  await hand.press('Tab')
  await hand.typed('20')
  await hand.press('Enter')
  await expect(page.getByRole('button', { name: 'Test it again' })).toBeVisible()
  counted('a due clearing test', hand.take(), 6)

  // the usual run again
  await page.locator('main').focus()
  await hand.press('5')
  await expect(page.getByRole('heading', { name: 'The same again' })).toBeVisible()
  await expect(page.getByRole('link', { name: /as run/ }).first()).toBeFocused()
  await hand.press('Enter')
  await expect(page.getByRole('button', { name: 'To the beakers' })).toBeFocused()
  await hand.press('Enter')
  await expect(page.getByRole('heading', { name: /^Run \d+, / })).toBeVisible()
  counted('the usual run again', hand.take(), 4)
  console.log(said.join('\n'))
})
