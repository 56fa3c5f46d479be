import { liveEvent, memberSubjects, reading } from '@selvrin/core/contract'
import type { Response, Router } from 'express'
import pg from 'pg'
import type { House } from '../house/house'
import { stayConnected } from '../house/staying'
import { personOf, whoIs, type Who } from '../http/who'

const beatMs = 25_000

/** Passes what PostgreSQL notifies on to every browser listening here, each event only to those whose role may hear of it. Answers a function that ends it. */
export function liveStream(router: Router, house: House): () => Promise<void> {
  const listeners = new Map<Response, Who>()
  let client: pg.Client | undefined

  const drop = (response: Response): void => {
    listeners.delete(response)
    response.end()
  }
  /** A stream is its session's: where that is gone, or belongs to another role now, it ends. */
  async function look(which: (who: Who) => boolean): Promise<void> {
    const now = house.clock.now()
    for (const [response, who] of [...listeners].filter(([, one]) => which(one))) {
      // an outage of the database ends nobody's session
      const still = await whoIs(house, who.tokenHash, now).catch(() => who)
      if (!still || still.role !== who.role) drop(response)
    }
  }
  function say(text: string, may: (who: Who) => boolean): void {
    for (const [response, who] of listeners) if (may(who)) response.write(text)
  }
  const isTechnician = (who: Who): boolean => who.role === 'technician'

  function hear(channel: string, payload: string): void {
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
    say(
      `data: ${JSON.stringify(event.data)}\n\n`,
      (who) => isTechnician(who) || (memberSubjects.includes(subject) && (subject !== 'person' || id === who.id)),
    )
    // someone who is made a member, or may no longer come in, hears no more of what was theirs
    if (subject === 'person') void look((who) => who.id === id)
  }

  async function listen(lost: () => void): Promise<void> {
    const next = new pg.Client({ connectionString: house.db.url })
    client = next
    next.on('notification', ({ channel, payload }) => hear(channel, payload ?? ''))
    next.on('error', () => void next.end().catch(() => undefined))
    next.on('end', lost)
    await next.connect()
    await next.query('listen selvrin; listen selvrin_reading; listen selvrin_session')
    // what was missed while away cannot be known: browsers fetch again
    say('event: again\ndata: {}\n\n', () => true)
    void look(() => true)
  }
  const stopListening = stayConnected(listen)

  const beat = setInterval(() => {
    say(': still here\n\n', () => true)
    void look(() => true)
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
    listeners.set(response, who)
    request.on('close', () => listeners.delete(response))
  })

  return async () => {
    stopListening()
    clearInterval(beat)
    for (const response of listeners.keys()) response.end()
    await client?.end().catch(() => undefined)
  }
}
