import { agitations, draftOf, houseIds, type PermissionTerms } from '@selvrin/core'
import type { Permission, ProcessRow, Run } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'
import { tankRuns, type Row } from '../test/tankRuns'

let house: TestHouse
let [ilse, tilda, bram]: Caller[] = []
const ids: Record<string, string> = {}
beforeAll(async () => {
  house = await testHouse()
  ;[ilse, tilda, bram] = [await house.as('ilse'), await house.as('tilda'), await house.as('bram')]
  for (const { login, id } of await house.sql<{ login: string; id: string }>('select login, id from person')) ids[login] = id
}, 30_000)
afterAll(() => house.close())
beforeEach(async () => {
  await house.sql('delete from permission')
  await house.sql('delete from practice')
})

const { planned, event, stepsOf, handsOn, volume } = tankRuns(() => ilse as Caller)
const free = {
  processId: houseIds['bw-negative'],
  vesselIds: [],
  bottleIds: [],
  practice: false,
  others: false,
  loading: false,
  until: null,
}
const give = (terms: Partial<PermissionTerms> = {}, personId = ids.tilda) =>
  ilse!.send('POST', '/api/permissions', { id: uuid(), personId, ...free, ...terms })
const process = async () =>
  ((await tilda!.send('GET', '/api/processes')).body.rows as unknown as ProcessRow[]).find((one) => one.id === free.processId)!
/** What a technician would ask for with what stands on the shelf, of Tilda's film. */
async function request(): Promise<Row & { vesselId: string; baths: { bottleId: string }[]; films: Row[] }> {
  const { id, answer, request } = await planned(1)
  await ilse!.send('POST', `/api/runs/${id}/abandon`, { version: answer.body.version, at: house.now(), reason: 'only looked at' })
  const { versionId } = await process()
  return { ...request, processVersionId: versionId, films: request.films.map((film) => ({ ...film, id: uuid() })) }
}
const plan = async (who: Caller, change: object = {}, more: object = {}) => {
  const asked = await request()
  return who.send('POST', '/api/runs', { id: uuid(), request: { ...asked, ...change }, ...more })
}
const start = (who: Caller, { body }: Answer) =>
  who.send('POST', `/api/runs/${body.id as string}/start`, { version: body.version, at: house.now(), agreed: true })
const said = ({ status, body }: Answer) => [status, body.code, body.message]
const mine = async (who: Caller) => (await who.send('GET', '/api/permissions/mine')).body as unknown as { permissions: Permission[] }

test('a member plans, leads and writes down a run that was allowed to them, and nobody else’s', async () => {
  expect(said(await plan(tilda!))[1]).toBe('not-permitted')
  expect((await give()).status).toBe(200)
  const run = await plan(tilda!)
  expect([run.status, run.body.by, run.body.byMember]).toEqual([200, 'Tilda Rook', true])
  const id = run.body.id as string
  for (const [method, path, body] of [
    ['GET', `/api/runs/${id}`],
    ['GET', `/api/runs/${id}/start`],
    ['GET', `/api/print/runs/${id}`],
    ['POST', `/api/runs/${id}/start`, { version: 1, at: house.now() }],
    ['POST', `/api/runs/${id}/events`, { events: [event('start', house.now(), 0)] }],
    ['POST', `/api/runs/${id}/finish`, { version: 1, at: house.now(), events: [] }],
    ['POST', `/api/runs/${id}/abandon`, { version: 1, at: house.now(), reason: 'not mine' }],
  ] as const) {
    expect([path, said(await bram!.send(method, path, body)).slice(0, 2)]).toEqual([path, [403, 'not-yours']])
  }
  expect(said(await tilda!.send('POST', `/api/runs/${id}/take-back`, { version: 1, reason: 'as if' })).slice(0, 2)).toEqual([
    403,
    'not-yours',
  ])
  const begun = await start(tilda!, run)
  expect(begun.status).toBe(200)
  const at = house.now()
  const end = at + stepsOf(begun).reduce((sum, step) => sum + step.seconds, 0) * 1000 + 5000
  const events = [event('start', at, 0), ...handsOn(stepsOf(begun), end)]
  const done = await tilda!.send('POST', `/api/runs/${id}/finish`, { version: begun.body.version, at: end + 5000, events, device: 'test' })
  expect([done.status, done.body.state]).toEqual([200, 'done'])
  const own = (await tilda!.send('GET', '/api/runs')).body.rows ?? []
  expect([own.length, own[0]?.id, new Set(own.map((row) => row.by))]).toEqual([own.length, id, new Set(['Tilda Rook'])])
  expect((await bram!.send('GET', '/api/runs')).body.rows).toEqual([])
  expect((await ilse!.send('GET', '/api/runs?which=over')).body.rows?.[0]).toMatchObject({ id, by: 'Tilda Rook', byMember: true })
  const kept = (await tilda!.send('GET', `/api/people/${ids.tilda!}/export`)).body.kept as Record<string, Row[]>
  expect([kept.permissions?.length, kept['runs planned']?.some((row) => row.id === id)]).toEqual([1, true])
})

test('what is outside of a permission is refused with what to do, and nothing of it is kept', async () => {
  const asked = await request()
  const runs = async () => (await house.one<{ n: number }>('select count(*)::int as n from run'))!.n
  const other = (await house.one<{ id: string }>('select id from vessel where id <> $1 limit 1', [asked.vesselId]))!.id
  const refuses = async (terms: object, sentence: RegExp, change: object = {}, more: object = {}) => {
    await house.sql('delete from permission')
    expect((await give(terms)).status).toBe(200)
    const [before, answer] = [
      await runs(),
      await tilda!.send('POST', '/api/runs', { id: uuid(), request: { ...asked, ...change }, ...more }),
    ]
    expect([answer.status >= 400, answer.body.message, await runs()]).toEqual([true, expect.stringMatching(sentence), before])
  }
  await refuses({ vesselIds: [other] }, /^Your permission for “Black-and-white negative” is for /)
  await refuses({ bottleIds: [asked.baths[1]!.bottleId] }, /^[A-Z]+\d+ is not among the bottles you may pour from\./)
  await refuses({ until: house.now() - 1 }, /has ended/)
  await refuses({ practice: true }, /^Practise “Black-and-white negative” once with nothing wrong first\.$/)
  await refuses({}, /is for your own films/, { films: asked.films.map((film) => ({ ...film, memberId: ids.bram })) })
  await refuses({ others: true, loading: true }, /load a reel of 135 for practice/, {
    films: asked.films.map((film) => ({ ...film, memberId: ids.bram })),
  })
  await refuses({}, /^Only a technician overrules/, {}, { overrule: 'I know better' })
})

test('a practice run and a reel that was loaded open what asked for them; one of an older version does not', async () => {
  await give({ practice: true, others: true, loading: true })
  expect((await mine(tilda!)).permissions[0]?.before).toMatch(/^Practise/)
  const practise = async ({ versionId, body }: ProcessRow) => {
    let at = 0
    const steps = draftOf(body, {}, agitations['30-5-30']).plan!.steps.map((step, i) => ({
      ...{ step: i, fromS: at, untilS: (at += step.seconds), beatsS: null, measuredS: [] },
    }))
    const practised = { seed: 1, speed: 20, troubles: [], answers: {}, steps }
    await tilda!.send('POST', '/api/practices', { id: uuid(), processVersionId: versionId, options: {}, agitation: '30-5-30', practised })
  }
  await practise(await process())
  expect((await mine(tilda!)).permissions[0]?.before).toBe('')
  const films = (await request()).films.map((film) => ({ ...film, id: uuid(), memberId: ids.bram }))
  const load = (where: string) =>
    tilda!.send('POST', '/api/practices/loading', { id: uuid(), loading: { what: '135', where, seconds: 80, went: 'clean' } })
  await load('light')
  expect((await plan(tilda!, { films })).body.message).toMatch(/load a reel of 135/)
  await load('eyes-shut')
  const run = await plan(tilda!, { films })
  expect(run.status).toBe(200)
  // the process becomes another before the run begins
  const { version, body } = await process()
  await ilse!.send('POST', `/api/processes/${free.processId}/versions`, { version, versionId: uuid(), body: { ...body, note: 'new' } })
  expect([said(await start(tilda!, run)).slice(0, 2), (await mine(tilda!)).permissions[0]?.before]).toEqual([
    [409, 'not-permitted'],
    expect.stringMatching(/^Practise/),
  ])
  const begun = await start(ilse!, run)
  expect(begun.status).toBe(200)
  await ilse!.send('POST', `/api/runs/${run.body.id as string}/abandon`, {
    version: begun.body.version,
    at: house.now(),
    reason: 'only begun',
  })
})

test('what ends between the plan and the beakers stops the start and takes nothing; what is in the tank is brought to its end', async () => {
  const given = await give()
  const first = await plan(tilda!)
  const developer = (first.body.request as { baths: { bottleId: string }[] }).baths[0]!.bottleId
  const held = async () => (({ volumeMl, rolls }) => [volumeMl, rolls])(await volume(developer))
  const before = await held()
  expect((await ilse!.send('DELETE', `/api/permissions/${given.body.id as string}`, { version: 1 })).status).toBe(200)
  expect(said(await start(tilda!, first)).slice(0, 2)).toEqual([409, 'not-permitted'])
  expect(await held()).toEqual(before)
  const again = await give()
  const begun = await start(tilda!, first)
  expect(begun.status).toBe(200)
  await ilse!.send('DELETE', `/api/permissions/${again.body.id as string}`, { version: 1 })
  const id = begun.body.id as string
  const at = house.now()
  expect((await tilda!.send('POST', `/api/runs/${id}/events`, { events: [event('start', at, 0)] })).status).toBe(200)
  expect(
    (await tilda!.send('POST', `/api/runs/${id}/abandon`, { version: begun.body.version, at: at + 1000, reason: 'lid off' })).status,
  ).toBe(200)
})

test('what was shown is asked again when the liquids are measured out: without it nothing is taken, unless a technician stands by', async () => {
  await give()
  const run = await plan(tilda!)
  const developer = (run.body.request as { baths: { bottleId: string }[] }).baths[0]!.bottleId
  const held = async () => (await volume(developer)).volumeMl
  const before = await held()
  const body = { id: uuid(), personId: ids.tilda ?? '', task: 'load-135' as const, why: 'jammed twice' }
  expect((await ilse!.send('POST', '/api/trainings/revoke', body)).status).toBe(200)
  const refused = await start(tilda!, run)
  expect([refused.status, refused.body.code, (refused.body.current as { tasks: string[] }).tasks]).toEqual([
    409,
    'not-trained',
    ['load-135'],
  ])
  expect(await held()).toBe(before)
  await ilse!.send('POST', '/api/trainings/presence', { id: uuid(), personId: ids.tilda, tasks: ['load-135'] })
  const begun = await start(tilda!, run)
  expect(begun.status).toBe(200)
  await tilda!.send('POST', `/api/runs/${begun.body.id as string}/abandon`, {
    version: begun.body.version,
    at: house.now(),
    reason: 'only begun',
  })
})

test('the technician on duty steps in: it is theirs until they give it back', async () => {
  await give()
  const begun = await start(tilda!, await plan(tilda!))
  const [id, at] = [begun.body.id as string, house.now()]
  const note = async (who: Caller, device: string, ...kinds: string[]) =>
    (
      await who.send('POST', `/api/runs/${id}/events`, {
        events: kinds.map((kind, i) => ({ ...event(kind, (house.advance(1000), house.now()) + i, 0), device })),
      })
    ).body.late
  expect(await note(tilda!, 'phone', 'start', 'take-over')).toEqual([])
  expect(await note(ilse!, 'tablet', 'take-over', 'hold')).toEqual([])
  expect(await note(tilda!, 'phone', 'take-over', 'unhold')).toHaveLength(2)
  const finish = (who: Caller, device: string) =>
    who.send('POST', `/api/runs/${id}/finish`, { version: begun.body.version, at: at + 9e6, events: [], device })
  expect((await finish(tilda!, 'phone')).body.code).toBe('taken-over')
  expect(await note(ilse!, 'tablet', 'give-back')).toEqual([])
  expect(await note(tilda!, 'phone', 'unhold')).toEqual([])
  expect((await finish(ilse!, 'tablet')).body.code).toBe('taken-over')
  const { events } = (await ilse!.send('GET', `/api/runs/${id}`)).body as unknown as Run
  expect(events.filter((one) => one.duty).map((one) => one.kind)).toEqual(['take-over'])
  // nobody says of themselves that they are on duty
  const forged = { ...event('take-over', at + 1, 0), device: 'phone', duty: true }
  expect((await tilda!.send('POST', `/api/runs/${id}/events`, { events: [forged] })).status).toBe(400)
})

test('a permission is given once for a process, to members, and changed by whoever saw it as it is', async () => {
  const given = await give()
  expect(said(await give()).slice(0, 2)).toEqual([409, 'given'])
  expect(said(await give({}, ids.odo)).slice(0, 2)).toEqual([422, 'technician'])
  expect(said(await give({ vesselIds: [uuid()] }, ids.bram)).slice(0, 2)).toEqual([422, 'no-vessel'])
  expect(said(await give({ bottleIds: [uuid()] }, ids.bram)).slice(0, 2)).toEqual([422, 'no-bottle'])
  const path = `/api/permissions/${given.body.id as string}`
  const change = (version: number, terms: object) => ilse!.send('PUT', path, { version, ...free, ...terms })
  expect((await change(1, { others: true })).body).toMatchObject({ version: 2, others: true, person: 'Tilda Rook', by: 'Ilse Varn' })
  expect(said(await change(1, {})).slice(0, 2)).toEqual([409, 'stale'])
  expect(said(await change(2, { processId: houseIds.monobath })).slice(0, 2)).toEqual([422, 'other-process'])
  // a bottle it named has left the shelf: what else it says can be changed all the same, and it is for no other bottle
  const gone = (await house.one<{ id: string }>('select id from bottle where retired_at is not null limit 1'))!.id
  await house.sql('update permission set bottle_ids = array[$1::uuid] where person_id = $2', [gone, ids.tilda])
  expect((await change(2, { bottleIds: [gone], others: false })).body).toMatchObject({ version: 3, bottleIds: [gone] })
  expect([(await bram!.send('GET', '/api/permissions/mine')).body.permissions, (await mine(tilda!)).permissions.length]).toEqual([[], 1])
  expect(said(await ilse!.send('DELETE', path, { version: 1 })).slice(0, 2)).toEqual([409, 'stale'])
})
