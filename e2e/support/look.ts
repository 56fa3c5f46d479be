import type { Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { PNG } from 'pngjs'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

interface Violation {
  id: string
  impact: string
  nodes: { html: string }[]
}
/** Brings what looks for faults into the page, where it is not in it yet: it is half a megabyte. */
async function bringAxe(page: Page): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe)
}
async function violations(page: Page, within = 'html'): Promise<Violation[]> {
  await bringAxe(page)
  return page.evaluate(
    async (part) =>
      (await (window as unknown as { axe: { run: (part: string) => Promise<{ violations: Violation[] }> } }).axe.run(part)).violations,
    within,
  )
}

/** Everything axe-core finds on the page as it stands, or in a part of it: rule and first element of each. Contrast is judged without the dimmer. */
export const faultsOf = async (page: Page, within?: string): Promise<string[]> =>
  (await violations(page, within)).map((one) => `${one.id}: ${one.nodes[0]?.html.slice(0, 300) ?? ''}`)

/** Text that does not stand out enough from what is behind it (4.5:1, 3:1 where it is large). */
export async function contrastFaults(page: Page): Promise<string[]> {
  await bringAxe(page)
  const found = await page.evaluate(async () =>
    (
      await (window as unknown as { axe: { run: (at: string, how: object) => Promise<{ violations: Violation[] }> } }).axe.run('html', {
        runOnly: ['color-contrast'],
      })
    ).violations.flatMap((one) => one.nodes.map((node) => node.html.slice(0, 200))),
  )
  return found.slice(0, 5)
}

/** What of it is serious or critical. */
export const seriousFaults = async (page: Page): Promise<string[]> =>
  (await violations(page))
    .filter((one) => one.impact === 'serious' || one.impact === 'critical')
    .map((one) => `${one.id}: ${one.nodes[0]?.html ?? ''}`)

/** The first pixel of the page as it stands that has green or blue in it; null when all is black and red. */
export async function greenOrBluePixel(page: Page): Promise<{ x: number; y: number; rgb: number[] } | null> {
  const { data, width, height } = PNG.sync.read(await page.screenshot({ animations: 'disabled', caret: 'initial' }))
  for (let i = 0; i < width * height; i++)
    if (data[i * 4 + 1] !== 0 || data[i * 4 + 2] !== 0)
      return { x: i % width, y: Math.floor(i / width), rgb: [...data.subarray(i * 4, i * 4 + 3)] }
  return null
}

/** Whether anything at all is lit: a black page would pass the test above for nothing. */
export async function redPixels(page: Page): Promise<number> {
  const { data, width, height } = PNG.sync.read(await page.screenshot({ animations: 'disabled' }))
  let red = 0
  for (let i = 0; i < width * height; i++) if ((data[i * 4] ?? 0) > 60) red++
  return red
}

/** The first pixel of the page as it is shown that is not black; null where all are. */
export async function litPixel(page: Page): Promise<string | null> {
  const { data, width } = PNG.sync.read(await page.screenshot())
  for (let i = 0; i < data.length; i += 4)
    if (data[i] || data[i + 1] || data[i + 2])
      return `${(i / 4) % width},${Math.floor(i / 4 / width)}: ${data.subarray(i, i + 3).join(' ')}`
  return null
}
