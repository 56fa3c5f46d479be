import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'
import { tankRuns, type Row } from '../test/tankRuns'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const { rows, volume, planned, event, stepsOf, handsOn } = tankRuns(() => ilse)

test('a run writes what it took and what went through, once, and the films’ records', async () => {
  const { id, answer, developer, fixer } = await planned()
  expect(answer.status).toBe(200)
  const before = { developer: await volume(developer.id), fixer: await volume(fixer.id) }
  const at = house.now()
  const ahead = (await ilse.send('GET', `/api/runs/${id}/start`)).body
  expect([ahead.changed, (await volume(developer.id)).volumeMl]).toEqual([[], before.developer.volumeMl])
  const start = await ilse.send('POST', `/api/runs/${id}/start`, { version: answer.body.version, at })
  expect(start.status).toBe(200)
  expect((await volume(developer.id)).volumeMl).toBeCloseTo(before.developer.volumeMl - 300, 4)
  const would = { bottleId: developer.id, beforeMl: before.developer.volumeMl, afterMl: before.developer.volumeMl - 300 }
  expect(ahead.would).toEqual([expect.objectContaining(would)])
  expect((await ilse.send('GET', `/api/runs/${id}/start`)).body.code).toBe('run-state')
  const whole = stepsOf(start).reduce((sum, step) => sum + step.seconds, 0)
  const events = [event('start', at, 0), ...handsOn(stepsOf(start), at + (whole + 5) * 1000)]
  const early = await ilse.send('POST', `/api/runs/${id}/finish`, { version: start.body.version, at: at + 1000, events: [] })
  expect([early.status, early.body.code]).toEqual([409, 'not-over'])
  const sent = await Promise.all([1, 2, 3].map(() => ilse.send('POST', `/api/runs/${id}/events`, { events })))
  expect(sent.map((one) => one.status)).toEqual([200, 200, 200])
  const finish = () => ilse.send('POST', `/api/runs/${id}/finish`, { version: start.body.version, at: at + 1_600_000, events })
  const [first, second] = await Promise.all([finish(), finish()])
  expect([first.status, second.status].sort()).toEqual([200, 409])
  const after = await volume(fixer.id)
  // the film came wet out of the stop bath: the volume stays
  expect([after.rolls - before.fixer.rolls, before.fixer.volumeMl - after.volumeMl]).toEqual([2, 0])
  const run = (await ilse.send('GET', `/api/runs/${id}`)).body
  expect((run.events as unknown[]).length).toBe(events.length)
  expect((run.filmRows as Row[]).map((row) => [row.member, row.developedS, row.temperatureC])).toEqual([
    ['Tilda Rook', 630, 20],
    ['Tilda Rook', 630, 20],
  ])
  const own = await (await house.as('tilda')).send('GET', '/api/rolls')
  expect(own.body.rows?.slice(0, 2).map((row) => row.runId)).toEqual([id, id])
  // what was made up for it is in the developers' drum by what was in it, until the run is taken back
  const wasted = async () => (await rows('/api/waste?limit=5')).filter((row) => String(row.note).startsWith(`run ${String(run.number)}:`))
  const [wash, ...others] = (await wasted()).sort((a, b) => String(b.source).localeCompare(String(a.source)))
  expect(others.map((row) => [row.bottleId, row.ml, row.drum, row.note])).toEqual([
    [developer.id, 600, 'dev', `run ${String(run.number)}: Develop`],
  ])
  // so is the first water after the fixer, which carries its silver
  expect([wash?.bottleId, wash?.drum, wash?.source, Number(wash?.ml) % 600]).toEqual([null, 'sil', 'wash', 0])
  const sheet = await fetch(`${house.url}/api/print/runs/${id}`, { headers: { cookie: ilse.cookie } })
  expect([sheet.status, sheet.headers.get('content-type'), (await sheet.arrayBuffer()).byteLength > 10_000]).toEqual([
    200,
    'application/pdf',
    true,
  ])
  const back = await ilse.send('POST', `/api/runs/${id}/take-back`, { version: run.version, reason: 'only looked at' })
  expect([back.status, await wasted(), (await rows('/api/rolls?only=hanging')).filter((row) => row.runId === id)]).toEqual([200, [], []])
})

test('a plan that cannot work is refused with its reason, or kept with the technician’s', async () => {
  const { answer, request } = await planned(3)
  expect([answer.status, answer.body.code]).toEqual([422, 'plan-vessel'])
  const overruled = await ilse.send('POST', '/api/runs', {
    id: uuid(),
    request: { ...request, films: request.films.map((film) => ({ ...film, id: uuid() })) },
    overrule: 'two are short ends',
  })
  expect(overruled.body).toMatchObject({ state: 'planned', overruled: 'two are short ends' })
  expect((await planned(1, { temperatureC: 40 })).answer.body.code).toBe('outside-range')
  expect((await planned(1, { chartRowIds: [uuid()] })).answer.body.code).toBe('no-chart')
  expect((await planned(1, { vesselId: uuid() })).answer.body.code).toBe('no-vessel')
})

test('a bath that failed a test after the plan was made is not poured; with the reason it can be planned', async () => {
  const { id, fixer, request } = await planned(1)
  await ilse.send('POST', '/api/proofs', { id: uuid(), kind: 'iodide-drop', bottleId: fixer.id, reading: { look: 'cloud' } })
  const start = (run: string) => ilse.send('POST', `/api/runs/${run}/start`, { version: 1, at: house.now() })
  const refused = await start(id)
  expect(refused.body).toMatchObject({ code: 'plan-bottle', message: expect.stringContaining('failed a test') })
  // what stands against it is said before it is begun
  expect((await ilse.send('GET', `/api/runs/${id}/start`)).body.message).toBe(refused.body.message)
  const again = uuid()
  const films = request.films.map((film) => ({ ...film, id: uuid() }))
  expect((await ilse.send('POST', '/api/runs', { id: again, request: { ...request, films } })).body.code).toBe('plan-bottle')
  expect((await ilse.send('POST', '/api/runs', { id: again, request: { ...request, films }, overrule: 'test strips only' })).status).toBe(
    200,
  )
  expect((await start(again)).status).toBe(200)
  await ilse.send('POST', '/api/proofs/overrule', {
    entryId: uuid(),
    bottleId: fixer.id,
    kind: 'iodide-drop',
    reason: 'the iodide was old',
  })
})

async function clear(): Promise<void> {
  for (const run of await rows('/api/runs?state=planned'))
    await ilse.send('POST', `/api/runs/${String(run.id)}/abandon`, { version: run.version, at: house.now(), reason: 'clearing up' })
}
async function free(): Promise<void> {
  for (const run of await rows('/api/runs?state=running'))
    await ilse.send('POST', `/api/runs/${String(run.id)}/abandon`, { version: run.version, at: house.now(), reason: 'the tank is wanted' })
}

describe('a use belongs to a step', () => {
  const play = async (id: string, version: unknown) => {
    const at = house.now()
    const start = await ilse.send('POST', `/api/runs/${id}/start`, { version, at })
    expect([start.status, start.body.code]).toEqual([200, undefined])
    const steps = stepsOf(start)
    const whole = steps.reduce((sum, step) => sum + step.seconds, 0)
    return { at, start, steps, ends: at + (whole + 10) * 1000 }
  }
  const entriesOf = (runId: string) =>
    house.sql<{ step: number; bottleId: string; kind: string }>(
      `select step, bottle_id as "bottleId", kind from bottle_entry where run_id = $1 and kind <> 'reverse' order by step`,
      [runId],
    )

  test('one fixer in two steps is used twice and the run can be finished; taken back whole, nothing of it is left', async () => {
    await free()
    const { request } = await planned(1)
    const fixer = request.baths.find((bath) => bath.role === 'fixer')
    const before = await volume(fixer?.bottleId ?? '')
    const twice = uuid()
    const baths = [...request.baths, { role: 'second-fixer', bottleId: fixer?.bottleId, parts: [1] }]
    const films = request.films.map((film) => ({ ...film, id: uuid() }))
    const answer = await ilse.send('POST', '/api/runs', {
      id: twice,
      request: { ...request, options: { ...request.options, 'two-fix': true }, baths, films },
      overrule: 'the pair is not mixed yet',
    })
    expect(answer.status).toBe(200)
    const { at, start, steps, ends } = await play(twice, answer.body.version)
    const events = [event('start', at, 0), ...handsOn(steps, ends)]
    const done = await ilse.send('POST', `/api/runs/${twice}/finish`, { version: start.body.version, at: ends + 1000, events })
    expect([done.status, done.body.code]).toEqual([200, undefined])
    expect((await entriesOf(twice)).filter((one) => one.bottleId === fixer?.bottleId).map((one) => one.step)).toEqual([2, 3])
    expect((await volume(fixer?.bottleId ?? '')).rolls - before.rolls).toBe(2)
    const back = await ilse.send('POST', `/api/runs/${twice}/take-back`, { version: done.body.version, reason: 'it was the practice film' })
    expect([back.status, back.body.state]).toEqual([200, 'taken-back'])
    expect((await volume(fixer?.bottleId ?? '')).rolls).toBe(before.rolls)
    const shown = (await rows('/api/rolls')).filter((row) => row.runId === twice)
    expect(shown).toEqual([])
    expect((await ilse.send('POST', `/api/runs/${twice}/take-back`, { version: back.body.version, reason: 'again' })).status).toBe(409)
  })

  test('a run given up counts the baths that were reached by what the device knew, and no others', async () => {
    await free()
    const { id, answer, stop, fixer } = await planned(1)
    const before = [await volume(stop.id), await volume(fixer.id)]
    const { at, start, steps } = await play(id, answer.body.version)
    // nothing was sent before: the server has heard of no step at all
    const events = [event('start', at, 0), event('next', at + (steps[0]?.seconds ?? 0) * 500, 0)]
    const gone = await ilse.send('POST', `/api/runs/${id}/abandon`, {
      version: start.body.version,
      at: at + (steps[0]?.seconds ?? 0) * 500 + 20_000,
      reason: 'the lid came off',
      events,
    })
    expect(gone.status).toBe(200)
    expect((await volume(stop.id)).rolls - (before[0]?.rolls ?? 0)).toBe(1)
    expect((await volume(fixer.id)).rolls - (before[1]?.rolls ?? 0)).toBe(0)
  })
})

describe('nothing is promised twice', () => {
  test('what a planned run wants is shown, counted against the next, and free again when it is dropped', async () => {
    await free()
    await clear()
    const first = await planned(1)
    const reserved = async (id: string) => (await ilse.send('GET', `/api/bottles/${id}`)).body.reserved as { ml: number; rolls: number }
    expect(await reserved(first.developer.id)).toMatchObject({ ml: 150, rolls: 0 })
    expect(await reserved(first.fixer.id)).toMatchObject({ ml: 0, rolls: 1 })
    const findings = (await planned(1)).answer.body.plan as { findings: { rule: string }[] }
    expect(findings.findings.map((one) => one.rule)).toContain('plan-vessel-taken')
    const left = (await ilse.send('GET', `/api/bottles/${first.fixer.id}`)).body.state as { rollsLeft: number }
    const entryId = uuid()
    await ilse.send('POST', `/api/bottles/${first.fixer.id}/entries`, { entryId, kind: 'use', ml: 0, rolls: left.rollsLeft - 1.5 })
    expect((await planned(1)).answer.body).toMatchObject({ code: 'plan-capacity', message: expect.stringContaining('reserved for run') })
    await ilse.send('POST', `/api/bottles/${first.fixer.id}/entries/${entryId}/reverse`, { newId: uuid(), reason: 'only to see' })
  })

  test('a tank that is running takes no second run, and a time that changed since is said before it counts', async () => {
    await clear()
    const stock = (await rows('/api/bottles')).find(
      (row) =>
        row.family === 'fixer' &&
        row.retiredAt === null &&
        (row.state as { rollsLeft: number }).rollsLeft > 4 &&
        (row.use as { school: string }).school === 'counted',
    ) as Row & { id: string }
    const baths = (of: Row[]) => of.map((bath) => (bath.role === 'fixer' ? { ...bath, bottleId: stock.id } : bath))
    const { request } = await planned(1)
    const films = () => request.films.map((film) => ({ ...film, id: uuid() }))
    const [one, two] = [uuid(), uuid()]
    for (const id of [one, two])
      expect(
        (await ilse.send('POST', '/api/runs', { id, request: { ...request, films: films(), baths: baths(request.baths) } })).status,
      ).toBe(200)
    expect((await ilse.send('POST', `/api/runs/${one}/start`, { version: 1, at: house.now() })).status).toBe(200)
    expect((await ilse.send('POST', `/api/runs/${two}/start`, { version: 1, at: house.now() })).body.code).toBe('vessel-running')
    await free()
    // a clearing test in between: what it says of the fixing is said, and then counts
    const proof = await ilse.send('POST', '/api/proofs', {
      id: uuid(),
      kind: 'clearing-time',
      bottleId: stock.id,
      reading: { value: 81, celsius: 20, slowClearing: false },
    })
    expect(proof.status).toBe(200)
    const changed = await ilse.send('POST', `/api/runs/${two}/start`, { version: 1, at: house.now() })
    expect(changed.body).toMatchObject({ code: 'plan-changed', message: expect.stringContaining('Fix takes 2:42 instead of') })
    const agreed = await ilse.send('POST', `/api/runs/${two}/start`, { version: 1, at: house.now(), agreed: true })
    expect([
      agreed.status,
      (agreed.body.plan as { steps: { kind: string; seconds: number }[] }).steps.find((step) => step.kind === 'fix')?.seconds,
    ]).toEqual([200, 162])
  })
})

test('two runs that start on the last of a bottle: the second is told what is left', async () => {
  await clear()
  const other = (await rows('/api/vessels')).find((row) => row.format === '135' && row.name !== 'Tank 2')?.id
  const [a, b] = [await planned(1), await planned(1, { vesselId: other })]
  await ilse.send('POST', `/api/bottles/${a.developer.id}/entries`, {
    entryId: uuid(),
    kind: 'pour-out',
    ml: (await volume(a.developer.id)).volumeMl - 200,
  })
  await free()
  const starts = await Promise.all(
    [a, b].map((one) => ilse.send('POST', `/api/runs/${one.id}/start`, { version: one.answer.body.version, at: house.now() })),
  )
  expect(starts.map((one) => one.status).sort()).toEqual([200, 409])
  expect(starts.find((one) => one.status === 409)?.body.message).toContain('holds 50 ml')
  const left = starts[0]?.status === 409 ? a : b
  expect((await ilse.send('GET', `/api/runs/${left.id}`)).body.state).toBe('planned')
  expect((await ilse.send('POST', `/api/runs/${left.id}/abandon`, { version: 1, at: house.now(), reason: 'no developer' })).status).toBe(
    200,
  )
})
