import type { Page } from '@playwright/test'

/** What is wrong with how the page is laid out and stays wrong: on a busy machine a page follows its window late, and what is mended a moment after is no fault. */
export async function layoutFaults(page: Page, within = 'body'): Promise<string[]> {
  const until = Date.now() + 4000
  for (;;) {
    const faults = await faultsNow(page, within)
    if (faults.length === 0 || Date.now() > until) return faults
    await page.waitForTimeout(100)
  }
}

/** What is wrong with how the page as it stands is laid out, or a part of it, in words, one line a fault. */
const faultsNow = (page: Page, within: string): Promise<string[]> =>
  page.evaluate((part) => {
    const faults: string[] = []
    const whole = document.querySelector(part) ?? document.body
    const visible = (element: Element): boolean => {
      const box = element.getBoundingClientRect()
      const style = getComputedStyle(element)
      return (
        box.width > 0 && box.height > 0 && style.visibility !== 'hidden' && style.opacity !== '0' && element.closest('.sr-only') === null
      )
    }
    /** what cuts a text short with an ellipsis */
    const shortened = (element: Element): Element | null => {
      for (let one: Element | null = element; one && one.tagName !== 'MAIN'; one = one.parentElement)
        if (getComputedStyle(one).textOverflow === 'ellipsis') return one
      return null
    }
    const words = (element: Element): string =>
      `<${element.tagName.toLowerCase()}> “${(element.getAttribute('aria-label') ?? element.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 50)}”`
    const root = document.documentElement
    if (root.scrollWidth > root.clientWidth) faults.push(`the page runs ${root.scrollWidth - root.clientWidth} px off the side`)
    const main = document.querySelector('main')
    if (main && main.scrollWidth > main.clientWidth)
      faults.push(`the main part runs ${main.scrollWidth - main.clientWidth} px off the side`)
    // the room line leaves the page most of the height
    const line = document.querySelector('header')?.getBoundingClientRect().height ?? 0
    if (line > innerHeight * 0.4) faults.push(`the room line takes ${Math.round(line)} of ${innerHeight} px`)
    // the time and what to do now are in sight without scrolling
    for (const one of document.querySelectorAll('[data-clock], [data-cue]')) {
      const [box, held] = [one.getBoundingClientRect(), one.closest('[role="region"]')?.getBoundingClientRect()]
      if (held && (box.bottom > held.bottom + 1 || box.top < held.top - 1)) faults.push(`out of sight: ${words(one)}`)
    }
    // text in a column too narrow to read, and text that runs out of what holds it
    const walker = document.createTreeWalker(whole, NodeFilter.SHOW_TEXT)
    const seen = new Set<Element>()
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement
      const text = node.textContent?.trim() ?? ''
      if (!element || text.length < 8 || seen.has(element) || !visible(element) || element.closest('svg, script, style, option')) continue
      seen.add(element)
      const range = document.createRange()
      range.selectNodeContents(node)
      const box = range.getBoundingClientRect()
      if ((box.width < 40 && box.height > 60) || (box.width < 72 && box.height > 110 && root.style.fontSize === ''))
        faults.push(`a column of ${Math.round(box.width)} px: ${words(element)}`)
      // what is cut short leads to where it is whole: a link, a menu
      const cut = getComputedStyle(element)
      if (cut.textOverflow === 'ellipsis' && element.scrollWidth > element.clientWidth && !element.closest('a[href], [aria-haspopup]'))
        faults.push(`cut off: ${words(element)}`)
      const short = shortened(element)?.getBoundingClientRect() ?? box
      if (short.right > root.clientWidth + 1 && !element.closest('[data-scrolls], .overflow-x-auto'))
        faults.push(`off the side: ${words(element)}`)
    }
    // what is pressed is large enough for a wet finger
    for (const target of whole.querySelectorAll('a[href], button, input, select, textarea, summary, [role="switch"], [role="option"]')) {
      if (!visible(target) || (target instanceof HTMLInputElement && target.type === 'file')) continue
      const { width, height } = target.getBoundingClientRect()
      // 56 where a wet glove reaches: the bench edge, and the clock
      const least = target.closest('nav, section[aria-label="Clock"]') ? 56 : 44
      if (height < least - 0.5 || width < Math.min(least, 44) - 0.5)
        faults.push(`only ${Math.round(width)} × ${Math.round(height)} px to press: ${words(target)}`)
    }
    return [...new Set(faults)]
  }, within)
