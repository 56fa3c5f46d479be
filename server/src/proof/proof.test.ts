import sharp from 'sharp'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

interface Judged {
  proof: {
    id: string
    judgement: { verdict: string; rule: string; reason: string; restsOn: string; fixS: number | null; corrected: boolean }
    reading: { celsius?: number }
    picture: boolean
  }
  suspects: { runNumber: number; films: { rollId: string }[] }[]
}
interface Shown {
  id: string
  label: string
  name: string
  retiredAt: number | null
  batchId: string | null
  state: { fixS: number | null; tests: { kind: string; failed: object | null }[]; findings: { rule: string }[] }
  due: { kind: string; why: string }[]
  critical: { kind: string }[]
}
const day = 86_400_000
let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 60_000)
afterAll(() => house.close())

const bottles = async (name: string): Promise<Shown[]> =>
  ((await ilse.send('GET', '/api/bottles')).body.rows ?? []).filter((row) => row.name === name) as unknown as Shown[]
const show = async (id: string): Promise<Shown> => (await ilse.send('GET', `/api/bottles/${id}`)).body as unknown as Shown
const prove = (body: object) => ilse.call(api.proof.write, { body: { id: uuid(), ...body } })
const judged = async (body: object) => {
  const answer = await prove(body)
  expect([answer.status, answer.body.message]).toEqual([200, undefined])
  return answer.body as unknown as Judged
}
const on = (id: string) => ({ params: { id } })
const fixer = async () => (await bottles('Neutral rapid fixer')).find((one) => !one.state.tests.some((test) => test.failed)) as Shown

test('a clearing time is judged against the batch’s fresh reading, at its temperature, and sets the fixing time', async () => {
  const bottle = await fixer()
  const context = (await ilse.call(api.proof.context, on(bottle.id))).body as unknown as {
    references: Record<string, { value: number; from: string }>
  }
  expect(context.references['clearing-time']).toMatchObject({ value: 68, from: 'batch' })
  const { proof } = await judged({ kind: 'clearing-time', bottleId: bottle.id, reading: { value: 80, celsius: 24, slowClearing: false } })
  expect(proof.judgement).toMatchObject({ verdict: 'keep', rule: 'clearing-2x', fixS: 160, corrected: true })
  expect(proof.judgement.restsOn).toContain('fresh')
  expect((await show(bottle.id)).state.fixS).toBe(160)
  expect((await prove({ kind: 'developer-ph', bottleId: bottle.id, reading: { value: 8 } })).body.code).toBe('wrong-test')
})

test('a failed fixer names the runs since its last good test, marks their films, tells their owners, and stands still until two passes or a reason', async () => {
  const bottle = await fixer()
  const runs = await house.sql<{ memberId: string; rollId: string }>(
    `select o.member_id as "memberId", o.id as "rollId" from roll o join bottle_entry e on e.run_id = o.run_id where e.bottle_id = $1`,
    [bottle.id],
  )
  // a run after the last good test
  await house.sql(
    `insert into bottle_entry (id, bottle_id, kind, at, ml, throughput, run_id) select $2, $1, 'use', $3, -10, '[{"kind": "bw-roll", "equivalents": 1}]', r.id from run r where not exists (select from bottle_entry e where e.run_id = r.id and e.bottle_id = $1) limit 1`,
    [bottle.id, uuid(), new Date(house.now())],
  )
  house.advance(1000)
  const { suspects } = await judged({ kind: 'clearing-time', bottleId: bottle.id, reading: { value: 140, celsius: 20 } })
  expect(suspects.length).toBe(1)
  expect(runs.map((one) => one.rollId)).not.toContain(suspects[0]?.films[0]?.rollId)
  const rollId = suspects[0]?.films[0]?.rollId ?? ''
  const roll = (await ilse.send('GET', '/api/rolls')).body.rows?.find((row) => row.id === rollId) as {
    memberId: string
    marks: { id: string; helps: string; text: string }[]
  }
  expect(roll.marks[0]).toMatchObject({ helps: 'refix', text: expect.stringContaining('Refix it in fresh fixer') })
  const login = await house.one<{ login: string }>('select login from person where id = $1', [roll.memberId])
  const member = await house.as(login?.login ?? '')
  const [notice] = (await member.send('GET', '/api/notices')).body.rows ?? []
  expect(notice).toMatchObject({ rollId, read: false, text: expect.stringContaining('failed a test') })
  expect((await member.call(api.proof.read, on(notice?.id as string))).status).toBe(200)
  expect((await (await house.as('odo')).call(api.proof.read, on(notice?.id as string))).status).toBe(404)
  const cleared = await ilse.call(api.run.clearMark, {
    params: { id: rollId, markId: roll.marks[0]?.id ?? '' },
    body: { what: 'refixed and washed again' },
  })
  expect((cleared.body.marks as { cleared: string }[])[0]?.cleared).toBe('refixed and washed again')
  // someone else did so meanwhile: what they wrote stands
  const twice = await ilse.call(api.run.clearMark, {
    params: { id: rollId, markId: roll.marks[0]?.id ?? '' },
    body: { what: 'nothing done' },
  })
  expect([twice.status, twice.body.code]).toEqual([409, 'cleared'])
  expect(await house.one('select cleared from roll_mark where id = $1', [roll.marks[0]?.id])).toEqual({
    cleared: 'refixed and washed again',
  })

  expect((await show(bottle.id)).state.findings[0]?.rule).toBe('bottle-failed')
  const pour = () => ilse.call(api.bottle.pour, { ...on(bottle.id), body: { entryId: uuid(), kind: 'pour-out', ml: 1 } })
  expect((await pour()).body.code).toBe('failed')
  await judged({ kind: 'clearing-time', bottleId: bottle.id, reading: { value: 90, celsius: 20, slowClearing: false } })
  expect((await show(bottle.id)).state.findings[0]?.rule).toBe('bottle-failed')
  await judged({ kind: 'clearing-time', bottleId: bottle.id, reading: { value: 90, celsius: 20, slowClearing: false } })
  expect((await pour()).status).toBe(200)

  await judged({ kind: 'iodide-drop', bottleId: bottle.id, reading: { look: 'cloud' } })
  const overruled = await ilse.call(api.proof.overrule, {
    body: { entryId: uuid(), bottleId: bottle.id, kind: 'iodide-drop', reason: 'the iodide was old' },
  })
  expect((overruled.body as unknown as Shown).state.findings.map((one) => one.rule)).not.toContain('bottle-failed')
  expect(
    (await ilse.call(api.proof.overrule, { body: { entryId: uuid(), bottleId: bottle.id, kind: 'iodide-drop', reason: 'again' } })).body
      .code,
  ).toBe('not-failed')
})

test('tests fall due by rules a technician can change, and stand in the way of a critical run only', async () => {
  const [developer] = (await bottles('Soft borax developer')).filter((one) => one.due.length === 0)
  expect(developer?.label).toMatch(/^D\d+$/)
  const id = developer?.id ?? ''
  expect((await show(id)).critical.map((one) => one.kind)).toContain('leader-black')
  const rules = (await ilse.send('GET', '/api/due-rules')).body.rows as { id: string; version: number; family: string; kind: string }[]
  const rule = rules.find((one) => one.family === 'film-developer' && one.kind === 'leader-black')
  const body = { version: rule?.version, atMixing: true, everyDays: 0.5, everyShare: null, beforeCritical: true, active: true }
  house.advance(day)
  expect((await ilse.call(api.proof.changeRule, { ...on(rule?.id ?? ''), body })).status).toBe(200)
  expect((await show(id)).due).toMatchObject([{ kind: 'leader-black', why: 'days' }])
  expect((await ilse.call(api.proof.changeRule, { ...on(rule?.id ?? ''), body })).status).toBe(409)
  await judged({ kind: 'leader-black', bottleId: id, reading: { value: 96, celsius: 20 } })
  expect([(await show(id)).due, (await show(id)).critical.map((one) => one.kind)]).toEqual([[], []])
  const add = { id: uuid(), family: 'wash-aid', kind: 'clearing-time', ...body }
  delete (add as { version?: number }).version
  expect((await ilse.call(api.proof.addRule, { body: add })).body.code).toBe('wrong-test')
})

test('without a fresh reading the verdict says what it rests on; other batches of the formula stand in', async () => {
  const [concentrate] = await bottles('Alkaline rapid fixer')
  const other = concentrate ?? ((await bottles('Deep-tank borax developer'))[0] as Shown)
  const { proof } = await judged({
    kind: other.name.includes('fixer') ? 'clearing-time' : 'leader-black',
    bottleId: other.id,
    reading: { value: 40, celsius: 20 },
  })
  expect(proof.judgement).toMatchObject({ rule: 'no-reference', verdict: 'marginal' })
  const fresh = await judged({
    kind: 'leader-black',
    bottleId: (await bottles('Deep-tank borax developer'))[0]?.id,
    reading: { value: 100, celsius: 20 },
    fresh: true,
  })
  expect(fresh.proof.judgement).toMatchObject({ rule: 'reference', verdict: 'keep' })
})

test('a thermometer’s offsets correct every later reading taken with it', async () => {
  const id = uuid()
  await ilse.call(api.proof.addInstrument, { body: { id, kind: 'thermometer', name: 'Long glass' } })
  const points = [
    { readC: 0.5, trueC: 0 },
    { readC: 20.5, trueC: 20 },
  ]
  const set = (version: number, list: object[]) =>
    ilse.call(api.proof.thermometer, { ...on(id), body: { proofId: uuid(), version, points: list } })
  expect((await set(1, [{ readC: 9, trueC: 0 }])).body.code).toBe('implausible')
  expect((await set(1, points)).body).toMatchObject({ points })
  const { proof } = await judged({
    kind: 'clearing-time',
    bottleId: (await fixer()).id,
    reading: { value: 80, celsius: 21.5 },
    thermometerId: id,
  })
  expect(proof.reading.celsius).toBeCloseTo(21, 9)
})

test('a lamp is safe for half of the time its coin shows; a process collects its strips', async () => {
  const lamp = uuid()
  await ilse.call(api.proof.addInstrument, { body: { id: lamp, kind: 'lamp', name: 'Amber lamp' } })
  expect((await ilse.call(api.proof.lamp, { ...on(lamp), body: { proofId: uuid(), version: 1, minutes: 2 } })).body).toMatchObject({
    safeMinutes: 1,
  })
  const process_ = uuid()
  await ilse.call(api.proof.addInstrument, { body: { id: process_, kind: 'process', name: 'Colour negative process' } })
  const strip = { fog: 0.2, low: 0.5, high: 1.3, max: 2 }
  const answer = await ilse.call(api.proof.strip, { ...on(process_), body: { proofId: uuid(), strip, good: true } })
  expect(answer.body.strips).toMatchObject([{ strip, good: true }])
  const bad = {
    fog: { action: 0.03, control: 0.02 },
    low: { action: 1, control: 2 },
    contrast: { action: 1, control: 2 },
    max: { action: 1, control: 2 },
  }
  expect((await ilse.call(api.proof.limits, { ...on(process_), body: { version: 2, limits: bad } })).body.code).toBe('limits')
})

/** A JPEG's frame: start, a comment with a secret, a quantisation table of nothing, a scan, end. */

test('a picture is kept with its test, made anew: its kind by content, nothing of where and with what it was taken anywhere in it', async () => {
  const area = { x: 0, y: 0, width: 0.2, height: 0.2 }
  const marks = { empty: area, fresh: area, scrap: area, wedge: [] }
  const [developer] = await bottles('Soft borax developer')
  const body = () => ({
    id: uuid(),
    kind: 'scrap-density',
    bottleId: developer?.id,
    reading: { value: 1.2, approximate: true },
    picture: { name: 'scrap.jpg', marks },
  })
  const send = (bytes: Buffer) => ilse.sendFile('POST', '/api/proofs', body(), bytes)
  expect((await send(Buffer.from('GIF89a and more'))).body.code).toBe('not-a-picture')
  expect((await ilse.send('POST', '/api/proofs', body())).body.code).toBe('not-a-form')
  const plain = await sharp({ create: { width: 40, height: 20, channels: 3, background: '#888' } })
    .withExif({ IFD0: { ImageDescription: 'secret mill' }, IFD3: { GPSLatitude: '53/1 1/1 0/1' } })
    .jpeg()
    .toBuffer()
  expect(plain.includes('secret mill')).toBe(true)
  // a second picture behind the end of the first, where phones hide a preview with its place
  const { proof } = (await send(Buffer.concat([plain, Buffer.from('secret tail'), plain]))).body as unknown as Judged
  expect(proof.picture).toBe(true)
  const kept = await fetch(`${house.url}/api/proofs/${proof.id}/picture`, { headers: { cookie: ilse.cookie } })
  const bytes = Buffer.from(await kept.arrayBuffer())
  expect([kept.headers.get('content-type'), bytes.includes('secret'), bytes.includes('Exif')]).toEqual(['image/jpeg', false, false])
  expect(await sharp(bytes).metadata()).toMatchObject({ width: 40, height: 20 })
})

test('a capacity from this darkroom’s own tests is offered when four bottles have been followed', async () => {
  const formulaId = (await ilse.send('GET', '/api/formulas')).body.rows?.find(
    (row) => (row.body as { name: string }).name === 'Neutral rapid fixer',
  )?.id as string
  const ask = async () =>
    (await ilse.call(api.proof.capacity, on(formulaId))).body as {
      estimate: { rollsPerL: number; bottles: number } | null
      bottles: number
    }
  const before = await ask()
  const [one] = await bottles('Neutral rapid fixer')
  for (let i = 0; i < 4; i++) {
    const id = uuid()
    await ilse.call(api.bottle.decant, { ...on(one?.id ?? ''), body: { into: [{ id, sizeMl: 100, ml: 20 }], overrule: 'to test with' } })
    await ilse.call(api.bottle.pour, { ...on(id), body: { entryId: uuid(), kind: 'use', ml: 0, rolls: 0.2, overrule: 'to test with' } })
    await judged({ kind: 'clearing-time', bottleId: id, reading: { value: 150, celsius: 20 } })
  }
  const after = await ask()
  // the four that were just tested count, none of them twice
  expect(after.bottles).toBe(before.bottles + 4)
  expect(after.estimate).toMatchObject({ bottles: expect.any(Number), rollsPerL: expect.any(Number) })
}, 30_000)
