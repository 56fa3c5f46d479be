import { expect, type Page } from '@playwright/test'

/** What has the focus, as a screen reader would name it: '' where nothing has. */
export const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const at = document.activeElement
    if (!at || at === document.body) return ''
    const labelled = at
      .getAttribute('aria-labelledby')
      ?.split(' ')
      .map((id) => document.getElementById(id)?.textContent ?? '')
      .join(' ')
    const label = at.id === '' ? null : document.querySelector(`label[for="${CSS.escape(at.id)}"]`)
    return (at.getAttribute('aria-label') ?? labelled ?? label?.textContent ?? at.textContent ?? '').trim().replace(/\s+/g, ' ')
  })

/** Goes to a page as a link of the application does, without loading all of it anew; loads it where nothing is there yet. */
export async function visit(page: Page, path: string): Promise<void> {
  const inside = await page.evaluate((to) => {
    if (!document.querySelector('main[data-page]')) return false
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: null }))
    return true
  }, path)
  if (!inside) await page.goto(path)
  await expect(page.locator('main')).toHaveAttribute('data-page', new URL(path, page.url()).pathname)
}

/** Goes on with Tab until what is meant has the focus; fails where it is not reached. */
export async function tabTo(page: Page, name: RegExp | string, most = 80): Promise<void> {
  const means = (text: string) => (typeof name === 'string' ? text === name : name.test(text))
  const passed: string[] = []
  for (let i = 0; i < most; i++) {
    const at = await focused(page)
    if (means(at)) return
    passed.push(at.slice(0, 40))
    await page.keyboard.press('Tab')
  }
  throw new Error(`${String(name)} is not reached by Tab. On the way: ${passed.join(' | ')}`)
}

/** Types into the field that has the focus, in place of what is there. */
export async function typeInto(page: Page, name: RegExp | string, text: string): Promise<void> {
  await tabTo(page, name)
  await page.keyboard.press('Control+A')
  await page.keyboard.type(text)
}

/** Chooses from a list by its keys: opened, found by its letters, taken. */
export async function chooseByKeys(page: Page, field: RegExp, letters: string): Promise<void> {
  await tabTo(page, field)
  await page.keyboard.press('Enter')
  await takeByLetters(page, letters)
}

/** Takes an option of the list that stands open by its letters, as soon as it is there and they have found it. */
export async function takeByLetters(page: Page, letters: string): Promise<void> {
  const wanted = new RegExp(letters.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'), 'i')
  await expect(page.getByRole('option', { name: wanted }).first()).toBeVisible()
  await page.keyboard.type(letters)
  await expect(page.locator('[role="option"][data-headlessui-state~="active"]')).toHaveText(wanted)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('listbox')).toHaveCount(0)
}

/** Listens to what a screen reader is told: everything that appears or changes in a live region. */
export async function listen(page: Page): Promise<() => Promise<string[]>> {
  await page.evaluate(() => {
    const heard: string[] = []
    ;(window as unknown as { heard: string[] }).heard = heard
    const live = '[role="status"], [role="alert"], [aria-live="polite"], [aria-live="assertive"]'
    const say = (node: Node) => {
      const element = node instanceof Element ? node : node.parentElement
      const region = element?.closest(live) ?? null
      if (!region || element?.closest('[aria-hidden="true"]')) return
      const copy = region.cloneNode(true) as Element
      copy.querySelectorAll('[aria-hidden="true"]').forEach((one) => one.remove())
      const text = copy.textContent.trim().replace(/\s+/g, ' ')
      if (text !== '' && heard.at(-1) !== text) heard.push(text)
    }
    new MutationObserver((changes) => {
      for (const change of changes) {
        if (change.type === 'characterData') say(change.target)
        for (const node of change.addedNodes) {
          say(node)
          if (node instanceof Element) node.querySelectorAll(live).forEach(say)
        }
      }
    }).observe(document.body, { childList: true, subtree: true, characterData: true })
  })
  return () => page.evaluate(() => (window as unknown as { heard: string[] }).heard.splice(0))
}
