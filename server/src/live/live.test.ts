import { liveEvent, type LiveEvent } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

/** Opens the event stream; `until` answers the events told up to the first that fits, with the text they came in. */
async function listen(cookie = ilse.cookie) {
  const response = await fetch(`${house.url}/api/events`, { headers: { cookie } })
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let text = ''
  return {
    response,
    until: async (fits: (event: LiveEvent) => boolean) => {
      for (;;) {
        const events = [...text.matchAll(/^data: (.*)$/gm)].flatMap((match) => {
          const event = liveEvent.safeParse(JSON.parse(match[1] ?? '{}'))
          return event.success ? [event.data] : []
        })
        if (events.some(fits)) return { events, text }
        const { value, done } = await reader.read()
        if (done) throw new Error('the stream ended')
        text += value
      }
    },
    close: () => reader.cancel(),
  }
}

test('a jar received, a formula revised and a chemical edited are told by subject, id and version, never with data', async () => {
  const stream = await listen()
  const id = uuid()
  await ilse.send('POST', '/api/jars', { id, entryId: uuid(), chemical: 'glycin', grams: 12.345, lot: 'secret-lot', place: 'attic' })
  const jar = await stream.until((event) => event.subject === 'jar' && event.id === id)
  expect(jar.text).not.toMatch(/secret-lot|12\.345|glycin/)
  const formula = (await ilse.send('GET', '/api/formulas')).body.rows?.[0] as { id: string; version: number; body: object }
  await ilse.send('POST', `/api/formulas/${formula.id}/versions`, { version: formula.version, versionId: uuid(), body: formula.body })
  const { events } = await stream.until(
    (event) => event.subject === 'formula' && event.id === formula.id && event.version === formula.version + 1,
  )
  expect(events.every((event) => Object.keys(event).sort().join() === 'id,subject,version')).toBe(true)
  const chemical = {
    name: 'Urea',
    molarMass: 60.06,
    natures: [],
    solubility: [],
    heatOfSolution: 15,
    statements: [],
    note: '',
    source: 'supplier’s sheet',
  }
  await ilse.send('PUT', '/api/chemicals/urea', { version: null, body: chemical })
  await stream.until((event) => event.subject === 'chemical' && event.id === 'urea' && event.version === 1)
  await ilse.send('DELETE', '/api/chemicals/urea', { version: 1 })
  await stream.until((event) => event.subject === 'chemical' && event.id === 'urea' && event.version === null)
  await stream.close()
})

test('what was refused is told to nobody', async () => {
  const stream = await listen()
  const jar = (await ilse.send('GET', '/api/jars')).body.rows?.[0] as { id: string; grams: number }
  const last = (await ilse.send('GET', '/api/jars')).body.rows?.[1] as { id: string }
  expect((await ilse.send('POST', `/api/jars/${jar.id}/entries`, { entryId: uuid(), kind: 'consume', grams: jar.grams + 1 })).status).toBe(
    409,
  )
  await ilse.send('POST', `/api/jars/${last.id}/entries`, { entryId: uuid(), kind: 'receive', grams: 1 })
  const { events } = await stream.until((event) => event.id === last.id)
  expect(events.some((event) => event.id === jar.id)).toBe(false)
  await stream.close()
})

test('only who is signed in may listen', async () => {
  const stranger = await fetch(`${house.url}/api/events`)
  expect(stranger.status).toBe(401)
  const stream = await listen((await house.as('tilda')).cookie)
  expect(stream.response.headers.get('content-type')).toContain('text/event-stream')
  await stream.close()
})

test('a listener is told to fetch everything again when the server had lost its own ear', async () => {
  const response = await fetch(`${house.url}/api/events`, { headers: { cookie: ilse.cookie } })
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  await house.sql(
    `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and query ilike 'listen selvrin%'`,
  )
  let text = ''
  while (!text.includes('event: again')) {
    const { value, done } = await reader.read()
    if (done) throw new Error('the stream ended')
    text += value
  }
  await reader.cancel()
  // and it hears again
  const stream = await listen()
  const id = uuid()
  await ilse.send('POST', '/api/jars', { id, entryId: uuid(), chemical: 'metol', grams: 5, lot: '', place: '' })
  await stream.until((event) => event.id === id)
  await stream.close()
}, 20_000)
