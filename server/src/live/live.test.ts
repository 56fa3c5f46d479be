import { liveEvent, type LiveEvent } from '@selvrin/core/contract'
import pg from 'pg'
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

/** Rows of a list, by id. */
const listed = async (path: string): Promise<Map<unknown, object>> =>
  new Map(((await ilse.send('GET', path)).body.rows ?? []).map((row) => [row.id, row]))

const lists: Partial<Record<LiveEvent['subject'], [path: string, table: string, key?: string]>> = {
  bottle: ['/api/bottles', 'bottle'],
  formula: ['/api/formulas', 'formula'],
  jar: ['/api/jars', 'jar'],
  run: ['/api/runs', 'run'],
  roll: ['/api/rolls', 'roll'],
  chart: ['/api/chart', 'chart_row'],
  vessel: ['/api/vessels', 'vessel'],
  device: ['/api/devices', 'device'],
  shelf: ['/api/shelves', 'shelf'],
  instrument: ['/api/instruments', 'instrument'],
  rule: ['/api/due-rules', 'due_rule'],
  person: ['/api/people', 'person'],
}
test.each(Object.entries(lists))('a changed %s is told as its list shows it', async (subject, [path, table]) => {
  const [id] = [...(await listed(path)).keys()] as [string]
  const stream = await listen()
  await house.sql(`update ${table} set version = version + 1 where id = $1`, [id])
  const { events } = await stream.until((event) => event.subject === subject && event.id === id)
  const told = events.find((event) => event.subject === subject && event.id === id)
  const row = (await listed(path)).get(id) as { version: number }
  // days that pass between two looks are no difference of theirs
  const still = (one: unknown): unknown =>
    JSON.parse(JSON.stringify(one, (_, value) => (typeof value === 'number' ? Math.round(value * 1e3) / 1e3 : value)))
  expect(still(told?.row)).toEqual(still(row))
  expect(told?.version).toBe(row.version)
  await stream.close()
})

test('PostgreSQL tells subject, id and version, never data', async () => {
  const client = new pg.Client({ connectionString: house.databaseUrl })
  await client.connect()
  const payloads: string[] = []
  client.on('notification', ({ payload }) => payloads.push(payload ?? ''))
  await client.query('listen selvrin')
  const id = uuid()
  await ilse.send('POST', '/api/jars', { id, entryId: uuid(), chemical: 'glycin', grams: 12.345, lot: 'secret-lot', place: 'attic' })
  const stream = await listen()
  await house.sql('update darkroom set version = version + 1')
  await stream.until((event) => event.subject === 'darkroom')
  await client.query('select 1')
  expect(
    payloads
      .map((one) =>
        Object.keys(JSON.parse(one) as object)
          .sort()
          .join(),
      )
      .filter((keys) => keys !== 'id,subject,version'),
  ).toEqual([])
  expect(payloads.some((one) => one.includes(id))).toBe(true)
  expect(payloads.join()).not.toMatch(/secret-lot|12\.345|glycin/)
  await client.end()
  await stream.close()
})

test('what is gone is told as gone: a chemical taken away, a mix given up', async () => {
  const stream = await listen()
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
  const { events } = await stream.until((event) => event.subject === 'chemical' && event.id === 'urea' && event.version === 1)
  expect(events.at(-1)?.row).toMatchObject({ id: 'urea', body: { molarMass: 60.06 } })
  await ilse.send('DELETE', '/api/chemicals/urea', { version: 1 })
  await stream.until((event) => event.id === 'urea' && event.row === null)
  const formula = [...(await listed('/api/formulas')).values()].find((row) => JSON.stringify(row).includes('borax developer')) as {
    id: string
  }
  const mix = uuid()
  await ilse.send('POST', '/api/mixes', { id: mix, formulaId: formula.id, finalMl: 1000, overrule: 'only a walk' })
  await stream.until((event) => event.id === mix && event.row !== null)
  await ilse.send('POST', `/api/mixes/${mix}/abandon`, { reason: 'only a walk' })
  await stream.until((event) => event.id === mix && event.row === null)
  await stream.close()
})

test('a film is told to its member and to technicians, and its notices to their person alone', async () => {
  const [tilda, jonna] = [await listen((await house.as('tilda')).cookie), await listen()]
  const own = await house.one<{ id: string; personId: string }>(
    `select r.id, r.member_id as "personId" from roll r join person p on p.id = r.member_id where p.login = 'tilda' and not taken_back limit 1`,
  )
  const other = await house.one<{ id: string }>(
    `select r.id from roll r left join person p on p.id = r.member_id where p.login is distinct from 'tilda' and not taken_back limit 1`,
  )
  for (const one of [other, own]) await house.sql(`update roll set version = version + 1 where id = $1`, [one?.id])
  const heard = await tilda.until((event) => event.id === own?.id)
  expect(heard.text).not.toContain(other?.id)
  await jonna.until((event) => event.id === other?.id)
  const notice = uuid()
  await house.sql(`insert into notice (id, person_id, at, text) values ($1, $2, now(), 'Come and see.')`, [notice, own?.personId])
  await house.sql(`update roll set taken_back = true where id = $1`, [own?.id])
  expect((await tilda.until((event) => event.id === own?.id && event.row === null)).text).toContain('Come and see.')
  expect((await jonna.until((event) => event.id === own?.id && event.row === null)).text).not.toContain('Come and see.')
  await house.sql(`update roll set taken_back = false where id = $1`, [own?.id])
  await Promise.all([tilda.close(), jonna.close()])
})

test('what changes a bottle from outside its ledger tells the bottle: a run, a film that came out wrong, a reading of its batch', async () => {
  const bath = await house.one<{ run: string; bottle: string }>(
    `select e.run_id as run, e.bottle_id as bottle from bottle_entry e join bottle b on b.id = e.bottle_id where e.run_id is not null and b.retired_at is null limit 1`,
  )
  const batch = await house.one<{ id: string; bottle: string }>(
    `select t.id, b.id as bottle from batch t join bottle b on b.batch_id = t.id where b.retired_at is null and b.id <> $1 limit 1`,
    [bath?.bottle],
  )
  const acts: [string, unknown, string | undefined][] = [
    [`update run set state = 'abandoned', version = version + 1 where id = $1`, bath?.run, bath?.bottle],
    [`update run set state = 'done' where id = $1`, bath?.run, bath?.bottle],
    [`update roll set result = 'thin' where run_id = $1`, bath?.run, bath?.bottle],
    [`update batch set ph = 8.8 where id = $1`, batch?.id, batch?.bottle],
  ]
  for (const [statement, id, bottle] of acts) {
    const stream = await listen()
    await house.sql(statement, [id])
    await stream.until((event) => event.subject === 'bottle' && event.id === bottle)
    await stream.close()
  }
})

test('one pour is one row and one supply, however many lines it wrote', async () => {
  const stream = await listen()
  const bottle = ((await ilse.send('GET', '/api/bottles')).body.rows ?? []).find((row) => row.parts !== null && row.family === 'fixer') as {
    id: string
    formulaId: string
  }
  await ilse.send('POST', `/api/bottles/${bottle.id}/entries`, { entryId: uuid(), kind: 'use', ml: 20, rolls: 1 })
  const { events } = await stream.until((event) => event.subject === 'supply' && event.id === bottle.formulaId)
  const mine = events.filter((event) => event.id === bottle.id || event.id === bottle.formulaId)
  expect(mine.map((event) => [event.subject, event.id])).toEqual([
    ['bottle', bottle.id],
    ['supply', bottle.formulaId],
  ])
  const { supplies } = (await ilse.send('GET', '/api/supply')).body as {
    supplies: { formulaId: string; rollsLeft: number; order: string[] }[]
  }
  const alone = supplies.find((row) => row.formulaId === bottle.formulaId)
  expect(mine[1]?.row).toMatchObject({ order: alone?.order, plannedRolls: expect.any(Number) })
  expect(Buffer.byteLength(JSON.stringify(mine))).toBeLessThan(4096)
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
