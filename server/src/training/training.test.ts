import type { TrainingBody, TrainingTask } from '@selvrin/core'
import { api, sinkApi, trainingApi, type FormulaRow, type TrainingPage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
const who: Record<string, Caller> = {}
const ids: Record<string, string> = {}
beforeAll(async () => {
  house = await testHouse()
  for (const login of ['ilse', 'odo', 'tilda', 'bram', 'nell']) who[login] = await house.as(login)
  for (const { login, id } of await house.sql<{ login: string; id: string }>('select login, id from person')) ids[login] = id
}, 60_000)
afterAll(() => house.close())

const as = (login: string): Caller => who[login] as Caller
const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const ok = [200, undefined]
const day = 86_400_000
const give = (of: string, more: Partial<TrainingBody> = {}, by = 'ilse', practiceId: string | null = null) =>
  as(by).call(trainingApi.give, {
    body: {
      ...{ id: uuid(), personId: ids[of] ?? '', practiceId },
      body: { task: 'drums' as const, at: house.now(), stage: null, shown: '', outside: '', ...more },
    },
  })
const revoke = (of: string, task: TrainingTask) =>
  as('ilse').call(trainingApi.revoke, { body: { id: uuid(), personId: ids[of] ?? '', task, why: '' } })
const page = async (of: string, by = 'ilse') =>
  (await as(by).call(trainingApi.person, { params: { id: ids[of] ?? '' } })).body as unknown as TrainingPage
const state = async (of: string, task: TrainingTask) => (await page(of)).standings.find((one) => one.task === task)?.state
const present = (by: string, of: string, tasks: TrainingTask[], more: { login?: string; password?: string } = {}) =>
  as(by).call(trainingApi.present, { body: { id: uuid(), personId: ids[of] ?? '', tasks, ...more } })
const ask = (by: string, ...tasks: TrainingTask[]) => as(by).call(trainingApi.ask, { body: { tasks } })
const told = async (of: string) =>
  (await house.sql<{ text: string; at: number }>('select text, at from notice where person_id = $1 and training_id is not null and read_at is null', [ids[of]])) // prettier-ignore

test('a member sees what they may and nobody else’s; a technician gives, and nobody shows it to themselves', async () => {
  expect((await page('tilda', 'tilda')).standings.find((one) => one.task === 'drums')?.state).toBe('ended')
  expect(said(await as('bram').call(trainingApi.person, { params: { id: ids.tilda ?? '' } }))).toEqual([403, 'not-yours'])
  expect(said(await give('bram'))).toEqual(ok)
  expect(await state('bram', 'drums')).toBe('may')
  expect(said(await give('ilse'))).toEqual([422, 'yourself'])
  expect(said(await give('ilse', { outside: 'the contractor' }))).toEqual(ok)
  expect(said(await give('bram', { at: house.now() + day }))).toEqual([422, 'not-yet'])
  expect(said(await give('bram', { task: 'load-135' }))).toEqual([422, 'no-stage'])
})

test('the end is told thirty days before, once: what is shown again, or taken away, is told no more of', async () => {
  await give('nell', { task: 'toners' })
  const [first, ...none] = (await told('nell')).filter((one) => one.text.includes('toners'))
  expect(none).toEqual([])
  const ends = (await page('nell')).standings.find((one) => one.task === 'toners')?.endsAt ?? 0
  expect(first?.at).toBe(ends - 30 * day)
  await give('nell', { task: 'toners' })
  expect((await told('nell')).filter((one) => one.text.includes('toners'))).toHaveLength(1)
  await revoke('nell', 'toners')
  expect((await told('nell')).filter((one) => one.text.includes('toners'))).toEqual([])
  expect(await state('nell', 'toners')).toBe('revoked')
})

test('a step asks: taken away is refused at once, a technician who is present stands in for some hours, and no one else does', async () => {
  expect(said(await ask('tilda', 'toners'))).toEqual(ok)
  await revoke('tilda', 'toners')
  const refused = await ask('tilda', 'toners', 'coating')
  expect([said(refused), refused.body.current]).toEqual([
    [409, 'not-trained'],
    { personId: ids.tilda, person: 'Tilda Rook', tasks: ['toners'] },
  ])
  const password = 'tide-mill-loft'
  expect(said(await present('tilda', 'tilda', ['toners']))).toEqual([403, 'no-technician'])
  expect(said(await present('tilda', 'tilda', ['toners'], { login: 'ilse', password: 'not it' }))).toEqual([422, 'wrong-password'])
  expect(said(await present('tilda', 'tilda', ['toners'], { login: 'nell', password }))).toEqual([422, 'no-technician'])
  expect(said(await present('tilda', 'bram', ['toners'], { login: 'ilse', password }))).toEqual([403, 'not-yours'])
  expect(said(await ask('tilda', 'toners'))).toEqual([409, 'not-trained'])
  expect(said(await present('tilda', 'tilda', ['toners'], { login: 'ilse', password }))).toEqual(ok)
  expect(said(await ask('tilda', 'toners'))).toEqual(ok)
  expect((await page('tilda')).lines[0]).toMatchObject({ kind: 'present', tasks: ['toners'], by: 'Ilse Varn' })
  house.advance(4 * 3_600_000 + 1000)
  expect(said(await ask('tilda', 'toners'))).toEqual([409, 'not-trained'])
})

test('at the scales and at the drums it is asked of whose hands they are; what is weighed is theirs', async () => {
  const formulas = (await as('ilse').send('GET', '/api/formulas')).body.rows as unknown as FormulaRow[]
  const bleach = formulas.find(
    (one) => one.body.family === 'bleach' && one.body.additions.some((line) => line.chemical === 'potassium-ferricyanide'),
  )
  const start = (handId: string | undefined, id = uuid()) =>
    as('ilse').call(api.mix.start, { body: { id, formulaId: bleach?.id ?? '', finalMl: bleach?.body.finalMl ?? 1000, handId } })
  const refused = await start(ids.nell)
  expect([said(refused), (refused.body.current as { tasks: string[] }).tasks]).toEqual([[409, 'not-trained'], ['bleaches']])
  await present('ilse', 'nell', ['bleaches'])
  const mix = await start(ids.nell)
  expect([said(mix), mix.body.hand]).toEqual([ok, { id: ids.nell, name: 'Nell Saltmarsh' }])
  // a technician needs nobody, whatever they were shown
  expect((await start(undefined)).body.hand).toBeNull()
  expect(said(await start(uuid()))).toEqual([422, 'no-person'])
  const [drum] = await house.sql<{ id: string }>(
    `select d.id from drum d where family = 'dev' and labelled_at is not null and sealed_at is null and quarantined_at is null and collected_at is null`,
  )
  const other = { entryId: uuid(), family: 'dev' as const, source: 'other' as const, ml: 10, silverG: 0, metal: null, note: '' }
  const pour = (handId: string) =>
    as('ilse').call(sinkApi.pour, { params: { id: drum?.id ?? '' }, body: { waste: [], other: { ...other, entryId: uuid() }, ph: null, funnelId: null, handId } }) // prettier-ignore
  expect(said(await pour(ids.jory ?? ''))).toEqual([409, 'not-trained'])
  expect(said(await pour(ids.nell ?? ''))).toEqual(ok)
  expect(await house.one('select p.login from drum_entry e join person p on p.id = e.by_person order by seq desc limit 1')).toEqual({ login: 'nell' }) // prettier-ignore
})

test('a practice with nothing wrong counts where a technician says so, once, from its own day', async () => {
  const of = (await page('nell')).practised.filter((one) => one.task === 'load-135')
  expect(of.map((one) => one.stage)).toEqual(['dark', 'light'])
  const dark = of[0]?.practiceId ?? ''
  expect(await state('nell', 'load-135')).toBe('never')
  expect(said(await give('nell', { task: 'load-120', stage: 'dark' }, 'ilse', dark))).toEqual([422, 'not-that'])
  expect(said(await give('bram', { task: 'load-135', stage: 'dark' }, 'ilse', dark))).toEqual([422, 'not-that'])
  expect(said(await give('nell', { task: 'load-135', stage: 'dark' }, 'ilse', dark))).toEqual(ok)
  expect(await state('nell', 'load-135')).toBe('may')
  const { at } = (await house.one<{ at: number }>('select at from practice where id = $1', [dark])) as { at: number }
  expect((await page('nell')).lines.filter((one) => one.practised).map((one) => one.at)).toEqual([at])
  expect((await page('nell')).practised.some((one) => one.practiceId === dark)).toBe(false)
  expect(said(await give('nell', { task: 'load-135', stage: 'dark' }, 'ilse', dark))).toEqual([409, 'counted'])
})

test('what ends soon or has ended is told of everybody; a line is never changed, and all of it goes with its person', async () => {
  const { rows } = (await as('ilse').call(trainingApi.page)).body as unknown as { rows: { person: string; standing: { task: string; state: string } }[] } // prettier-ignore
  const has = (person: string, task: string, is: string) =>
    rows.some((one) => one.person === person && one.standing.task === task && one.standing.state === is)
  expect([has('Tilda Rook', 'powders', 'soon'), has('Tilda Rook', 'drums', 'ended'), has('Wanda Sluice', 'acid-alkali', 'soon')]).toEqual([true, true, true]) // prettier-ignore
  await expect(house.sql('update training set at = now()')).rejects.toThrow('append-only')
  const kept = (await as('tilda').send('GET', `/api/people/${ids.tilda}/export`)).body as { kept: Record<string, unknown[]> }
  expect(kept.kept.training?.length).toBeGreaterThan(8)
  const bram = (await as('ilse').send('GET', '/api/people')).body.rows?.find((one) => one.id === ids.bram)
  expect((await as('ilse').send('DELETE', `/api/people/${ids.bram}`, { version: bram?.version })).status).toBe(200)
  expect(await house.one('select count(*)::int as n from training where person_id = $1', [ids.bram])).toEqual({ n: 0 })
})
