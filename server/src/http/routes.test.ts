import { endpoints, type Endpoint } from '@selvrin/core/contract'
import { houseIds } from '@selvrin/core'
import fc from 'fast-check'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let nobody: Caller
let member: Caller
let technician: Caller
beforeAll(async () => {
  house = await testHouse()
  ;[nobody, member, technician] = await Promise.all([house.as(null), house.as('tilda'), house.as('ilse')])
}, 30_000)
afterAll(() => house.close())

const title = ({ method, path }: Endpoint) => `${method} ${path}`
const params = { id: uuid(), entryId: uuid(), loadId: uuid(), token: 'x'.repeat(43) }

describe('every route, with the wrong role', () => {
  test.each(endpoints.filter((one) => one.access !== 'public').map((one) => [title(one), one] as const))(
    '%s sends strangers away',
    async (_, one) => {
      expect((await nobody.call(one, { params })).status).toBe(401)
    },
  )
  test.each(endpoints.filter((one) => one.access === 'technician').map((one) => [title(one), one] as const))(
    '%s is not for members',
    async (_, one) => {
      const { status, body } = await member.call(one, { params })
      expect([status, body.code]).toEqual([403, 'not-yours'])
    },
  )
  // what a route that is theirs too does with things of others: shared (200), theirs alone (403), or not there for them (404)
  const ofOthers: Record<string, [status: number, body?: (of: Others) => object]> = {
    'GET /api/bottles': [200],
    'GET /api/bottles/retired': [200],
    'GET /api/bottles/:id': [200],
    'GET /api/bottles/:id/ledger': [200],
    'GET /api/bottles/:id/life': [200],
    'GET /api/chemicals': [200],
    'GET /api/darkroom': [200],
    'GET /api/shelves': [200],
    'GET /api/processes': [200],
    'GET /api/instruments': [200],
    'GET /api/notices': [200],
    'POST /api/notices/:id/read': [404],
    'POST /api/people/:id/sign-out': [403],
    'GET /api/people/:id/export': [403],
    'PUT /api/me': [409, () => ({ version: 99 })],
    'PUT /api/me/password': [422, () => ({ current: 'not my password', password: 'a loft full of reels' })],
    'GET /api/faults': [200],
    'POST /api/faults': [200, () => ({ id: uuid(), thing: 'other', thingId: null, name: 'the tap', what: 'it drips' })],
    'GET /api/mail/mine': [200],
    'PUT /api/mail/mine': [409, () => ({ version: 99, address: '', wanted: true, quietFrom: '22:00', quietUntil: '08:00' })],
    'GET /api/calendars': [200],
    'GET /api/calendars/file': [200],
    'POST /api/calendars': [200, () => ({ id: uuid(), name: 'a phone', whose: 'mine' })],
    'POST /api/calendars/:id/revoke': [404],
    'GET /api/orders': [200],
    'GET /api/orders/choices': [200],
    'POST /api/orders': [403, ({ ids }) => ({ id: uuid(), memberId: ids.people, ...wish })],
    'GET /api/orders/:id': [403],
    'PUT /api/orders/:id': [403, () => ({ wishVersion: 1, ...wish })],
    'POST /api/orders/:id/withdraw': [403, () => ({ wishVersion: 1, why: 'not mine' })],
    'PUT /api/orders/:id/photo': [403],
    'GET /api/orders/:id/photo': [403],
    'GET /api/print/orders/:id': [403],
    'GET /api/printing': [200],
    'POST /api/printing': [403, ({ ids }) => ({ id: uuid(), memberId: ids.people, ...hour })],
    'PUT /api/printing/:id': [404, () => ({ version: 1, ...hour })],
    'POST /api/printing/:id/take-back': [404, () => ({ version: 1, why: '' })],
    'GET /api/trays': [200],
    'POST /api/enlargers/:id/light': [404, () => ({ seconds: 1, inMs: 0 })],
    'GET /api/print/prints/:id': [404],
    'GET /api/line': [200],
    'POST /api/line/:id/prints': [404, () => ({ passId: uuid(), base: 'rc', widthCm: 20, heightCm: 25, count: 1, what: '' })],
    'POST /api/line/:id/prints/:passId/take-back': [404, () => ({ reason: 'not so' })],
    'POST /api/line/:id/emergence': [404, () => ({ readingId: uuid(), fillId: uuid(), paperId: uuid(), celsius: 20, seconds: 12 })],
    'GET /api/prints': [200],
    'GET /api/prints/:id': [404],
    'POST /api/prints': [403, ({ ids }) => ({ id: uuid(), memberId: ids.people, title: 'x', ...printed })],
    'PUT /api/prints/:id': [404, () => ({ version: 1, title: 'x', ...printed, done: true })],
    'GET /api/prints/whole': [200],
    'GET /api/prints/:id/photo': [404],
    'PUT /api/prints/:id/photo': [404, () => ({})],
    'PUT /api/prints/:id/outline': [404, () => ({ version: 1, outline: [] })],
    'POST /api/prints/:id/tries': [404, () => ({ id: uuid(), entryId: uuid(), setup: printed.setup, plan: exposed, sheets: 1 })],
    'PUT /api/prints/:id/tries/:tryId': [404, () => ({ version: 1, chosen: null, said: [], note: '' })],
    'GET /api/permissions/mine': [200],
    'GET /api/trainings/:id': [403],
    'POST /api/trainings/presence': [403, ({ ids }) => ({ id: uuid(), personId: ids.people, tasks: ['drums'] })],
    'POST /api/trainings/ask': [409, () => ({ tasks: ['recovery'] })],
    'GET /api/practices': [200],
    'GET /api/practices/:id': [403],
    'POST /api/practices': [404, () => ({ id: uuid(), processVersionId: uuid(), options: {}, agitation: '30-5-30', practised: nothing })],
    'POST /api/practices/loading': [200, () => ({ id: uuid(), loading: { what: '135', where: 'light', seconds: 60, went: 'clean' } })],
    'GET /api/rolls': [200],
    'PUT /api/rolls/:id': [403, () => ({ version: 1, result: null, contrast: null, note: '' })],
    'GET /api/runs': [200],
    'POST /api/runs': [409, ({ request }) => ({ id: uuid(), request })],
    'GET /api/runs/:id': [403],
    'GET /api/runs/:id/goes': [403],
    'GET /api/runs/:id/start': [403],
    'POST /api/runs/:id/start': [403, () => ({ version: 1, at: house.now() })],
    'POST /api/runs/:id/events': [403, () => ({ events: [{ id: uuid(), seq: 0, device: 'x', at: 0, kind: 'start', step: 0 }] })],
    'POST /api/runs/:id/finish': [403, () => ({ version: 1, at: house.now(), events: [] })],
    'POST /api/runs/:id/abandon': [403, () => ({ version: 1, at: house.now(), reason: 'not mine' })],
    'GET /api/print/runs/:id': [403],
    'GET /api/trainer': [200],
    'GET /api/coating': [200],
    'GET /api/coated': [200],
    'GET /api/coated/:id': [404],
    'POST /api/coated': [403, ({ ids }) => ({ id: uuid(), memberId: ids.people, body: coated })],
    'PUT /api/coated/:id': [404, () => ({ version: 1, body: coated })],
    'POST /api/coated/:id/acts': [404, () => ({ id: uuid(), version: 1, act: { kind: 'done', said: 'x' } })],
    'GET /api/exposures': [200],
    'POST /api/exposures': [403, ({ ids }) => ({ id: uuid(), personId: ids.people, body: { ...reaction, at: house.now() } })],
    'PUT /api/exposures/:id': [404, () => ({ version: 1, body: { ...reaction, at: house.now() } })],
    'POST /api/exposures/:id/erase': [404, () => ({ version: 1 })],
    'GET /api/aid/bottles': [200],
    'GET /api/aid/cards': [200],
    'POST /api/incidents': [403, ({ ids }) => ({ id: uuid(), body: { ...spilled, at: house.now(), present: [ids.people] } })],
    'PUT /api/incidents/:id/photo': [404],
    'GET /api/swatches': [200],
    'GET /api/swatches/:id/photo': [404],
    'POST /api/trainer': [200, () => ({ id: uuid(), level: 1, seed: 1, material: 'negative', turns: [{ y: 5, m: 0 }] })],
    'DELETE /api/session': [200],
  }
  const wish = {
    ...{ film: 'Millrace 400', format: '135-36', count: 1, ei: 400, pushStops: 0, processId: houseIds['bw-negative'], developer: null },
    ...{ earliest: null, wantedBy: null, present: false, critical: false, note: '' },
  }
  const reaction = { agent: 'Metol', chemical: 'metol', task: '', minutes: null, gloves: true, way: 'skin', course: '' }
  const spilled = { what: 'fixer', family: 'sil', ml: 200, kitFull: true, note: '' }
  const printed = {
    negative: { what: 'roll 1', widthMm: 36, heightMm: 24 },
    setup: { boxId: uuid(), enlargerId: uuid(), m: 6, lensN: 8, developer: '' },
  }
  const coated = {
    ...{ title: 'x', process: 'cyanotype', negative: '', range: null, widthCm: 10, heightCm: 12, strips: 0, coatedWith: 'brush', coats: 1 },
    ...{ mlPer1000: 2.8, dropMl: 0.05, contrast: null, platinumDrops: 0, paper: 'rag', paperPrice: null },
  }
  const exposed = { kind: 'print', exposures: [{ seconds: 10, filter: { kind: 'none' } }], places: [] }
  const hour = { fromAt: 0, untilAt: 3_600_000, overruled: null }
  const nothing = { seed: 1, speed: 1, troubles: [], answers: {}, steps: [] }
  interface Others {
    request: object
    ids: Record<string, string>
  }
  /** Things that are not Bram's: by where a route names them. */
  async function others(): Promise<Others> {
    const first = async (from: string, where = 'true') =>
      (await house.one<{ id: string }>(`select id from ${from} where ${where} limit 1`))!.id
    const notBram = `(select id from person where login <> 'bram')`
    const { request } = (await house.one<{ request: object }>('select request from run order by number limit 1'))!
    const ids = {
      bottles: await first('bottle', 'retired_at is null'),
      people: await first('person', `login = 'ilse'`),
      notices: uuid(),
      practices: await first('practice', 'practised is not null'),
      rolls: await first('roll', `member_id in ${notBram}`),
      runs: await first('run', `planned_by in ${notBram}`),
      orders: await first('film_order', `member_id in ${notBram}`),
      calendars: uuid(),
      printing: uuid(),
      prints: await first('sheet', `member_id in ${notBram}`),
    }
    return { request, ids }
  }
  test('every route that is a member’s is tried with what is not theirs, and changes nothing of it', async () => {
    const theirs = endpoints.filter((one) => one.access === 'member')
    expect(theirs.map(title).sort()).toEqual(Object.keys(ofOthers).sort())
    const of = await others()
    const bram = await house.as('bram')
    const before = await house.sql(
      `select id, version from run union all select id, version from film_order union all select id, version from roll union all select id, version from bottle union all select id, version from sheet order by 1`,
    )
    // signing out comes last
    for (const one of theirs.sort((a, b) => Number(a.method === 'DELETE') - Number(b.method === 'DELETE'))) {
      const [status, body] = ofOthers[title(one)]!
      const about = of.ids[/^\/api\/(?:print\/)?(\w+)/.exec(one.path)?.[1] ?? ''] ?? uuid()
      const answer = await bram.call(one, { params: { id: about, tryId: uuid() }, ...(body ? { body: body(of) } : {}) })
      expect([title(one), answer.status]).toEqual([title(one), status])
    }
    expect(
      await house.sql(
        `select id, version from run union all select id, version from film_order union all select id, version from roll union all select id, version from bottle union all select id, version from sheet order by 1`,
      ),
    ).toEqual(before)
    // of lists they get what is theirs
    expect((await (await house.as('bram')).send('GET', '/api/runs')).body.rows).toEqual([])
  })
  test('a member sees and judges only their own films, and takes out only their own record', async () => {
    const own = await member.send('GET', '/api/rolls')
    expect(new Set(own.body.rows?.map((row) => row.member))).toEqual(new Set(['Tilda Rook']))
    const other = (await technician.send('GET', '/api/rolls')).body.rows?.find((row) => row.member !== 'Tilda Rook')
    expect(
      (
        await member.send('PUT', `/api/rolls/${other?.id as string}`, {
          version: other?.version,
          result: 'right',
          contrast: null,
          note: '',
        })
      ).status,
    ).toBe(403)
    expect((await member.send('GET', `/api/people/${other?.memberId as string}/export`)).status).toBe(403)
    expect((await member.send('POST', `/api/people/${other?.memberId as string}/sign-out`, {})).status).toBe(403)
  })
})

test('every route of the contract is served, and the OpenAPI document names them all', async () => {
  const { body } = await nobody.send('GET', '/api/openapi.json')
  const paths = body.paths as Record<string, Record<string, unknown>>
  for (const one of endpoints) {
    expect(paths[one.path.replace(/:(\w+)/g, '{$1}')]).toHaveProperty(one.method.toLowerCase())
    expect((await nobody.call(one, { params })).body.code).not.toBe('no-route')
  }
})

test('1,000 malformed requests over all routes bring a sentence and no 5xx', async () => {
  const nasty = fc.oneof(
    fc.jsonValue(),
    fc.constantFrom<unknown>('', '\u0000', 'x'.repeat(3000), -1, 1e308, NaN, [], {}, null, { id: 'x' }, { version: 1e99 }, '{', '[[[', {
      body: { name: '\u0000' },
    }),
    fc.dictionary(
      fc.constantFrom('id', 'version', 'ml', 'kind', 'events', 'body', 'bottles', 'request', 'at', 'parts', 'totalMl', '__proto__'),
      fc.jsonValue(),
    ),
  )
  const badParams = fc.record({
    id: fc.constantFrom(uuid(), 'x', '%00', '1;drop', '..%2f..', '-', '%E0%A4%A'),
    entryId: fc.constantFrom(uuid(), '0'),
  })
  const requests = fc.sample(
    fc.tuple(
      fc.nat(endpoints.length - 1),
      nasty,
      badParams,
      fc.constantFrom('limit=0', 'limit=9999', 'after=x', 'nope=1', 'limit[]=1', ''),
    ),
    { numRuns: 1000, seed: 4 },
  )
  // signing out would end the caller's own session, and wrong sign-ins would only meet the limit
  const skipped = [
    'DELETE /api/session',
    'POST /api/session',
    'POST /api/session/code',
    'POST /api/session/first',
    'POST /api/people/:id/sign-out',
  ]
  let refused = 0
  for (let i = 0; i < requests.length; i += 20)
    await Promise.all(
      requests.slice(i, i + 20).map(async ([index, body, ids, query]) => {
        const one = endpoints[index] as Endpoint
        if (skipped.includes(title(one))) return
        const path = `${one.path.replace(/:(\w+)/g, (_, name: string) => ids[name as 'id'])}${query === '' ? '' : `?${query}`}`
        const { status, body: answer } = await technician.send(one.method, path, one.method === 'GET' ? undefined : body)
        expect([title(one), status < 500]).toEqual([title(one), true])
        if (status < 400) return
        refused += 1
        expect(typeof answer.message).toBe('string')
      }),
    )
  expect(refused).toBeGreaterThan(600)
}, 60_000)

test('too large, unreadable and foreign requests are refused with a sentence', async () => {
  expect((await technician.send('PUT', '/api/me', `{"note":"${'x'.repeat(300_000)}"}`)).status).toBe(413)
  expect((await technician.send('PUT', '/api/me', '{')).body.code).toBe('not-json')
  expect((await technician.send('PUT', '/api/me', {}, { origin: 'http://elsewhere.test' })).status).toBe(403)
  expect((await technician.send('PUT', '/api/me', { version: 1, nope: 1 })).body.field).toBe('nope')
  expect((await technician.send('PUT', '/api/me', { version: 1 }, { 'idempotency-key': '' })).body.code).toBe('no-key')
})

test('lists ask the database a constant number of times, however long they are', async () => {
  const counted = async (path: string) => {
    const before = house.db.statements()
    const { body } = await technician.send('GET', path)
    return { statements: house.db.statements() - before, rows: body.rows?.length ?? 0 }
  }
  // each asks for the session first
  const expected: Record<string, number> = {
    // bottles with all that is known of them; what every bottle is looked at with is known by then
    '/api/bottles?retired=true': 2,
    '/api/formulas': 2,
    '/api/jars': 2,
    '/api/mixes': 2,
    '/api/chart': 2,
    '/api/vessels': 2,
    '/api/runs': 2,
    '/api/rolls': 2,
    '/api/people': 2,
    '/api/shelves': 2,
    '/api/proofs': 2,
    '/api/instruments': 2,
    '/api/due-rules': 2,
    '/api/waste': 2,
    '/api/notices': 2,
  }
  for (const [path, statements] of Object.entries(expected)) {
    // what never changes is read once
    await counted(path)
    const all = await counted(path)
    const one = await counted(`${path}${path.includes('?') ? '&' : '?'}limit=1`)
    expect([path, all.statements, one.statements]).toEqual([path, statements, statements])
    expect(one.rows).toBeLessThanOrEqual(1)
  }
})

test('a page of a list goes on where the one before ended', async () => {
  const all = (await technician.send('GET', '/api/runs')).body.rows?.map((row) => row.id)
  const seen: unknown[] = []
  let after: string | null = null
  do {
    const { body }: { body: Record<string, unknown> & { rows?: Record<string, unknown>[] } } = await technician.send(
      'GET',
      `/api/runs?limit=15${after ? `&after=${after}` : ''}`,
    )
    seen.push(...(body.rows ?? []).map((row) => row.id))
    after = body.after as string | null
  } while (after !== null)
  expect(seen).toEqual(all)
})

test('headers keep other pages out', async () => {
  const { headers } = await nobody.send('GET', '/api/session')
  expect(headers.get('content-security-policy')).toContain("script-src 'self'")
  expect(headers.get('x-content-type-options')).toBe('nosniff')
  expect(headers.get('strict-transport-security')).toBeNull()
})
