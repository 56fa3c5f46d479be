import { clientsClaim } from 'workbox-core'
import { ExpirationPlugin } from 'workbox-expiration'
import { registerRoute } from 'workbox-routing'
import { CacheFirst, NetworkFirst } from 'workbox-strategies'

// what a page is made of, kept by the browser, so that a clock that runs can be loaded again while the server is away; nothing of the house's own data is kept here
const daysS = 30 * 86_400
void (self as unknown as { skipWaiting: () => Promise<void> }).skipWaiting()
clientsClaim()

// its parts are named by what they contain: one that is kept is never old
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/assets/'),
  new CacheFirst({ cacheName: 'parts', plugins: [new ExpirationPlugin({ maxEntries: 600, maxAgeSeconds: daysS })] }),
)
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && /^\/(light\.js|mark\.svg)$/.test(url.pathname),
  new NetworkFirst({ cacheName: 'page' }),
)
// every page begins with the same document, whatever its address; what the server itself draws is none of them
registerRoute(
  ({ url, request, sameOrigin }) =>
    sameOrigin && !url.pathname.startsWith('/api/') && (request.mode === 'navigate' || url.pathname === '/'),
  new NetworkFirst({
    cacheName: 'page',
    networkTimeoutSeconds: 6,
    plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/') }],
  }),
)
