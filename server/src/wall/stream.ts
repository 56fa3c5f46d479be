import type { Response, Router } from 'express'
import type { House } from '../house/house'
import { requireKey } from './keys'

/** a burst of changes is told once, ms */
const gatherMs = 150
const beatMs = 15_000

/** Tells screens on the wall that something changed, and nothing of what; they ask for it. A screen whose key is revoked meanwhile is let go. Answers how to end it. */
export function wallStream(router: Router, { db }: House, onTold: (hear: () => void) => void): () => void {
  const screens = new Map<Response, string>()
  let waiting: NodeJS.Timeout | null = null
  const say = (text: string): void => {
    for (const response of screens.keys()) response.write(text)
  }
  onTold(() => {
    if (screens.size === 0 || waiting) return
    waiting = setTimeout(() => {
      waiting = null
      say('data: changed\n\n')
    }, gatherMs)
  })
  const beat = setInterval(() => {
    say(': still here\n\n')
    for (const [response, token] of screens)
      void requireKey(db, token).catch(() => {
        screens.delete(response)
        response.end()
      })
  }, beatMs)
  beat.unref()
  router.get('/api/wall/:token/events', async (request, response) => {
    const { token } = request.params
    await requireKey(db, token)
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform', 'x-accel-buffering': 'no' })
    response.write('retry: 1000\n\n')
    screens.set(response, token)
    request.on('close', () => screens.delete(response))
  })
  return () => {
    clearInterval(beat)
    if (waiting) clearTimeout(waiting)
    for (const response of screens.keys()) response.end()
    screens.clear()
  }
}
