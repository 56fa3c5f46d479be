import type { Router } from 'vue-router'
import type * as Release from './release'

let hear: (event: 'all') => void
jest.mock('../api/live', () => ({ onChange: (listener: typeof hear) => ((hear = listener), () => undefined) }))
jest.mock('@vueuse/core', () => ({ useEventListener: () => undefined }))
const page = (entry: string) => `<!doctype html><head><script type="module" crossorigin src="${entry}"></script></head>`
let served: string
let gone: string[]
Object.assign(globalThis, {
  window: globalThis,
  document: { createElement: () => ({}), querySelector: () => ({ getAttribute: () => '/assets/index-old.js' }) },
  location: { assign: (path: string) => gone.push(path) },
  fetch: () =>
    served === '' ? Promise.reject(new TypeError('no network')) : Promise.resolve({ ok: true, text: () => Promise.resolve(served) }),
})

type Guard = (to: object, from: object) => boolean
let leave: Guard
let safe: boolean
let release: typeof Release
beforeEach(() => {
  jest.resetModules()
  release = jest.requireActual<typeof Release>('./release')
  ;[served, gone, safe] = [page('/assets/index-old.js'), [], true]
  release.followReleases({ beforeResolve: (guard: Guard) => (leave = guard), onError: () => undefined } as unknown as Router, () => safe)
})
const again = () => (hear('all'), new Promise((resolve) => setTimeout(resolve)))
const go = (path: string) => leave({ path, fullPath: `${path}?a=1` }, { path: '/shelf', matched: ['the shelf'] })

test('the same release, a house that is away and a page that is not ours are no news', async () => {
  for (const now of [page('/assets/index-old.js'), '', '<h1>Sign in to the network</h1>']) {
    served = now
    await again()
    expect([now, release.newer.value, go('/tanks'), gone]).toEqual([now, false, true, []])
  }
})

test('a newer one is known when the house is back, and loaded by the next page that loses nothing', async () => {
  served = page('/assets/index-new.js')
  await again()
  expect(release.newer.value).toBe(true)
  safe = false
  expect([go('/tanks'), gone]).toEqual([true, []])
  safe = true
  // another question on the same page is no other page
  expect([go('/shelf'), gone]).toEqual([true, []])
  expect([go('/tanks'), gone]).toEqual([false, ['/tanks?a=1']])
})
