let kept = false

/** Whether this browser can load a page again while the server is away: over plain http none can but on the machine itself. */
export const canReload = (): boolean => 'serviceWorker' in navigator

/** Has the browser keep what this page is made of, as far as it was loaded. Fails silently: the clock goes on without. */
export async function keepPage(): Promise<void> {
  if (kept || !canReload()) return
  kept = true
  await navigator.serviceWorker.register('/page-worker.js')
  const { active } = await navigator.serviceWorker.ready
  const mine = (url: string) => url.startsWith(`${location.origin}/assets/`) || /\/(light\.js|mark\.svg)$/.test(url)
  const parts = performance
    .getEntriesByType('resource')
    .map((one) => one.name)
    .filter(mine)
  active?.postMessage({ type: 'CACHE_URLS', payload: { urlsToCache: ['/', ...new Set(parts)] } })
}
