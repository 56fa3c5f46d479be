import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import type { Router } from 'vue-router'
import { onChange } from '../api/live'

/** A newer release is served than the one that runs in this tab. */
export const newer = ref(false)

/** The script a page begins with; every release has another one. Null where the page is none of ours. */
const entryOf = (html: string): string | null => /<script\b[^>]*\btype="module"[^>]*\bsrc="([^"]+)"/.exec(html)?.[1] ?? null

const mine = (): string | null => document.querySelector('script[type="module"][src]')?.getAttribute('src') ?? null

/** Whether another release is served now than the one that runs here. A house that is away says nothing. */
export async function isNewer(): Promise<boolean> {
  const served = await fetch('/', { cache: 'no-store', credentials: 'same-origin' })
    .then((answer) => (answer.ok ? answer.text() : ''))
    .catch(() => '')
  const entry = entryOf(served)
  return entry !== null && mine() !== null && entry !== mine()
}

async function look(): Promise<void> {
  if (await isNewer()) newer.value = true
}

/**
 * Follows what is released: looked at whenever the house has been away, since that is when it changes, and where a part of this release cannot be had.
 * A newer one is loaded by going to another page, where that loses nothing; `safe` says so.
 */
export function followReleases(router: Router, safe: () => boolean): void {
  onChange((event) => {
    if (event === 'all' && !newer.value) void look()
  })
  useEventListener(window, 'vite:preloadError' as never, () => void look())
  router.beforeResolve((to, from) => {
    // a page that is only coming up was served just now
    if (!newer.value || from.matched.length === 0 || to.path === from.path || !safe()) return true
    location.assign(to.fullPath)
    return false
  })
  router.onError(async (_error, to) => {
    // a page of a release that is gone: there is no other way to it
    await look()
    if (newer.value && safe()) location.assign(to.fullPath)
  })
}
