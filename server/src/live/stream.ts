import { liveEvent, reading, type LiveEvent } from '@selvrin/core/contract'
import type { Router } from 'express'
import pg from 'pg'
import type { House } from '../house/house'
import { stayConnected } from '../house/staying'
import { personOf, type Who } from '../http/who'
import { everyone, listenersOf, type Listeners } from './listeners'
import { tellingOf } from './telling'

const beatMs = 25_000

const isTechnician = (who: Who): boolean => who.role === 'technician'

/** Passes on what PostgreSQL told, to those whose role may hear of it. */
function hear({ say, look }: Listeners, tell: (event: LiveEvent) => void, channel: string, payload: string): void {
  if (channel === 'selvrin_session') return void look((who) => who.tokenHash === payload)
  const data: unknown = JSON.parse(payload || '{}')
  if (channel === 'selvrin_reading') {
    const read = reading.safeParse(data)
    if (read.success) say(`event: reading\ndata: ${JSON.stringify(read.data)}\n\n`, isTechnician)
    return
  }
  const event = liveEvent.safeParse(data)
  if (!event.success) return
  const { subject, id } = event.data
  tell(event.data)
  // someone who is made a member, or may no longer come in, hears no more of what was theirs
  if (subject === 'person') void look((who) => who.id === id)
}

/** Passes what PostgreSQL notifies on to every browser listening here. Answers how to end it, and how to hear that something was told, or may have been missed. */
export function liveStream(router: Router, house: House): { close: () => Promise<void>; onTold: (hear: () => void) => void } {
  const hearers = new Set<() => void>()
  const told = (): void => hearers.forEach((one) => one())
  const listeners = listenersOf(house)
  const telling = tellingOf(house, listeners)
  let client: pg.Client | undefined

  async function listen(lost: () => void): Promise<void> {
    const next = new pg.Client({ connectionString: house.db.url })
    client = next
    next.on('notification', ({ channel, payload }) => {
      hear(listeners, telling.tell, channel, payload ?? '')
      if (channel === 'selvrin') told()
    })
    next.on('error', () => void next.end().catch(() => undefined))
    next.on('end', lost)
    await next.connect()
    await next.query('listen selvrin; listen selvrin_reading; listen selvrin_session')
    // what was missed while away cannot be known: browsers fetch again
    listeners.say('event: again\ndata: {}\n\n', everyone)
    void listeners.look(everyone)
    told()
  }
  const stopListening = stayConnected(listen)

  const beat = setInterval(() => {
    listeners.say(': still here\n\n', everyone)
    void listeners.look(everyone)
  }, beatMs)
  beat.unref()

  router.get('/api/events', async (request, response) => {
    const who = await personOf(house, request, house.clock.now())
    if (!who) {
      response.status(401).json({ code: 'signed-out', message: 'Sign in first.' })
      return
    }
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform', 'x-accel-buffering': 'no' })
    response.write('retry: 1000\n\n')
    listeners.add(response, who)
    request.on('close', () => listeners.remove(response))
  })

  const close = async (): Promise<void> => {
    stopListening()
    clearInterval(beat)
    telling.end()
    listeners.end()
    await client?.end().catch(() => undefined)
  }
  return { close, onTold: (one) => void hearers.add(one) }
}
