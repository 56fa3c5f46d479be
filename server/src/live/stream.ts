import { liveEvent, reading } from '@selvrin/core/contract'
import type { Response, Router } from 'express'
import pg from 'pg'
import type { House } from '../http/route'
import { personOf } from '../session/cookie'

const retryMs = 1000
const beatMs = 25_000

/** Passes what PostgreSQL notifies on to every browser listening here. Answers a function that ends it. */
export function liveStream(router: Router, house: House): () => Promise<void> {
  const listeners = new Set<Response>()
  let client: pg.Client | undefined
  let ended = false

  async function listen(): Promise<void> {
    if (ended) return
    const next = new pg.Client({ connectionString: house.db.url })
    client = next
    next.on('notification', ({ channel, payload }) => {
      if (channel === 'selvrin_reading') {
        const read = reading.safeParse(JSON.parse(payload ?? '{}'))
        if (read.success) for (const response of listeners) response.write(`event: reading\ndata: ${JSON.stringify(read.data)}\n\n`)
        return
      }
      const event = liveEvent.safeParse(JSON.parse(payload ?? '{}'))
      if (event.success) for (const response of listeners) response.write(`data: ${JSON.stringify(event.data)}\n\n`)
    })
    next.on('error', () => void next.end().catch(() => undefined))
    next.on('end', () => void (ended || setTimeout(() => void listen(), retryMs)))
    try {
      await next.connect()
      await next.query('listen selvrin; listen selvrin_reading')
      // what was missed while away cannot be known: browsers fetch again
      for (const response of listeners) response.write('event: again\ndata: {}\n\n')
    } catch {
      await next.end().catch(() => undefined)
    }
  }
  void listen()

  const beat = setInterval(() => listeners.forEach((response) => response.write(': still here\n\n')), beatMs)
  beat.unref()

  router.get('/api/events', async (request, response) => {
    if (!(await personOf(house, request, house.clock.now()))) {
      response.status(401).json({ code: 'signed-out', message: 'Sign in first.' })
      return
    }
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform', 'x-accel-buffering': 'no' })
    response.write('retry: 1000\n\n')
    listeners.add(response)
    request.on('close', () => listeners.delete(response))
  })

  return async () => {
    ended = true
    clearInterval(beat)
    for (const response of listeners) response.end()
    await client?.end().catch(() => undefined)
  }
}
