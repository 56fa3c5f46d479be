import type { Drum as Family } from '@selvrin/core'
import type { Bottle, DrainLine, FormulaRow, Pickup, Recovery, SinkPage, WasteDrum } from '@selvrin/core/contract'
import { api, sinkApi } from '@selvrin/core/contract'
import fc from 'fast-check'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'
import { tankRuns } from '../test/tankRuns'

let house: TestHouse
let ilse: Caller
let formulas: FormulaRow[]
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  formulas = (await ilse.send('GET', '/api/formulas?limit=200')).body.rows as unknown as FormulaRow[]
  demos = (await sink()).pending.map((row) => row.id)
}, 60_000)
afterAll(() => house.close())

const on = (id: string) => ({ params: { id } })
// a drum has a code of its own
const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
/** what the demo’s own runs left, which nobody here pours */
let demos: string[] = []
async function sink(): Promise<SinkPage> {
  const page = (await ilse.send('GET', '/api/sink')).body as unknown as SinkPage
  return { ...page, pending: page.pending.filter((row) => !demos.includes(row.id)) }
}
const recovered = async (): Promise<number> => (await ilse.send('GET', '/api/sink/silver')).body.recoveredG as number
const drumOf = async (id: string): Promise<WasteDrum> => (await sink()).drums.find((one) => one.id === id)!
const made = (family: Family, more: object = {}) =>
  ilse.call(sinkApi.make, { body: { id: uuid(), family, metal: null, volumeMl: 10_000, tareKg: 1, vented: true, trayId: null, ...more } })
/** A drum with its label on. */
async function labelled(family: Family, more: object = {}): Promise<WasteDrum> {
  const answer = await made(family, more)
  expect(said(answer)).toEqual([200, undefined])
  const drum = answer.body as unknown as WasteDrum
  return (await ilse.call(sinkApi.label, { ...on(drum.id), body: { version: drum.version } })).body as unknown as WasteDrum
}
async function bring(name: string, ml = 1000): Promise<Bottle> {
  const id = uuid()
  const formulaId = formulas.find((row) => row.body.name === name)!.id
  expect((await ilse.call(api.bottle.bring, { body: { id, formulaId, sizeMl: 1000, ml } })).status).toBe(200)
  return (await ilse.call(api.bottle.get, on(id))).body as unknown as Bottle
}
const bottleOf = async (id: string): Promise<Bottle> => (await ilse.call(api.bottle.get, on(id))).body as unknown as Bottle
const fixer = 'Rapid fixer concentrate'
const discard = (bottle: Bottle, ml: number, into: object = {}) =>
  ilse.call(api.bottle.pour, { ...on(bottle.id), body: { entryId: uuid(), kind: 'discard', ml, into } })
const pour = (drum: WasteDrum, waste: string[], more: object = {}) =>
  ilse.call(sinkApi.pour, {
    ...on(drum.id),
    body: { waste: waste.map((wasteId) => ({ wasteId, entryId: uuid() })), other: null, ph: null, funnelId: null, ...more },
  })
const other = (family: Family, ml: number, more: object = {}) => ({
  other: { entryId: uuid(), family, source: 'other', ml, silverG: 0, metal: null, note: 'by hand', ...more },
})
/** All that a pour might change. */
const everything = () =>
  house.sql(
    `select 'e' as t, id::text, null as v from drum_entry union all select 'w', id::text, null from waste_entry union all select 'b', id::text, version::text from bottle
     union all select 'l', id::text, null from bottle_entry union all select 'd', id::text, version::text from drum order by 1, 2`,
  )

test('a bottle is poured away into its drum in one act; taken back, it leaves the drum, too', async () => {
  const drum = await labelled('sil')
  const bottle = await bring(fixer)
  expect((await ilse.call(api.bottle.pour, { ...on(bottle.id), body: { entryId: uuid(), kind: 'use', ml: 0, rolls: 10 } })).status).toBe(
    200,
  )
  const { silverGPerL } = (await bottleOf(bottle.id)).state
  expect((await discard(bottle, 500, { sil: drum.id })).status).toBe(200)
  const now = await drumOf(drum.id)
  expect(now.state).toMatchObject({ ml: 500, standing: 'open', roomMl: 8500, unknownMl: 0 })
  expect(now.state.silverG).toBeCloseTo((silverGPerL ?? 0) / 2, 3)
  expect(now.state.contents.find((one) => one.chemical.includes('thiosulfate'))?.grams).toBeGreaterThan(50)
  expect((await sink()).pending).toEqual([])
  const { ledger } = (await ilse.call(api.bottle.get, on(bottle.id))).body as { ledger: { id: string; kind: string }[] }
  const line = ledger.find((one) => one.kind === 'discard')!
  const back = await ilse.call(api.bottle.reverse, {
    params: { id: bottle.id, entryId: line.id },
    body: { newId: uuid(), reason: 'another bottle' },
  })
  expect(back.status).toBe(200)
  expect((await drumOf(drum.id)).state).toMatchObject({ ml: 0, silverG: 0, standing: 'empty' })
  expect((await sink()).pending).toEqual([])
})

test('no label, no pour; of what waits a line is poured once, whoever is first; taken back from the drum it waits again', async () => {
  const bottle = await bring(fixer)
  expect((await discard(bottle, 300)).status).toBe(200)
  const [waits] = (await sink()).pending
  expect(waits).toMatchObject({ ml: 300, drum: 'sil', label: bottle.label })
  const bare = (await made('sil')).body as unknown as WasteDrum
  expect(said(await pour(bare, [waits!.id]))).toEqual([409, 'drum-label'])
  const [one, two] = [await labelled('sil'), await labelled('sil')]
  const both = await Promise.all([pour(one, [waits!.id]), pour(two, [waits!.id])])
  expect(both.map(said).sort()).toEqual([
    [200, undefined],
    [409, 'waste-poured'],
  ])
  const taken = [await drumOf(one.id), await drumOf(two.id)].find((drum) => drum.state.ml > 0)!
  expect((await sink()).pending).toEqual([])
  const { lines } = (await ilse.send('GET', `/api/drums/${taken.id}`)).body as { lines: { id: string; bottleId: string }[] }
  expect(lines[0]?.bottleId).toBe(bottle.id)
  const takeBack = () =>
    ilse.call(sinkApi.takeBack, { params: { id: taken.id, entryId: lines[0]!.id }, body: { entryId: uuid(), why: 'the other drum' } })
  expect((await takeBack()).status).toBe(200)
  expect(said(await takeBack())).toEqual([409, 'reversed'])
  expect([(await drumOf(taken.id)).state.ml, (await sink()).pending.map((row) => row.id)]).toEqual([0, [waits!.id]])
  expect((await pour(two, [waits!.id])).status).toBe(200)
})

test('a pour that never may be changes nothing, by whatever way it comes', async () => {
  expect((await sink()).facts.roomM3).toBe(28.8)
  const [acid, sil] = [await labelled('acid'), await labelled('sil')]
  const bottle = await bring(fixer)
  const before = await everything()
  // the bottle's own discard, its retirement, what waits, what comes by hand
  const refused = [
    await discard(bottle, 100, { sil: acid.id }),
    await ilse.call(api.bottle.retire, {
      ...on(bottle.id),
      body: { version: bottle.version, reason: 'spent', discard: true, into: { sil: acid.id } },
    }),
    await pour(acid, [], other('sil', 500)),
    await pour(sil, [], other('sul', 500)),
    await pour(sil, [], other('dev', 500)),
    await pour(sil, [], other('sil', 9001)),
  ]
  expect(refused.map(said)).toEqual([
    [409, 'never-meets'],
    [409, 'never-meets'],
    [409, 'never-meets'],
    [409, 'never-meets'],
    [409, 'drum-family'],
    [409, 'drum-full'],
  ])
  expect(refused[0]?.body.message).toMatch(
    /^In drum \w{6} \(stop baths and acids\): Never: sulfur dioxide, .* ppm in this room; 100 are dangerous/,
  )
  expect(await everything()).toEqual(before)
})

test('the funnel’s last use and the tray’s neighbours are asked; a rinse makes the funnel clean', async () => {
  const funnel = (await ilse.call(sinkApi.funnel, { body: { id: uuid(), name: 'blue' } })).body as { id: string; version: number }
  const [acid, sil] = [await labelled('acid'), await labelled('sil')]
  house.advance(1000)
  expect((await pour(acid, [], { ...other('acid', 100), funnelId: funnel.id })).status).toBe(200)
  const through = () => pour(sil, [], { ...other('sil', 100), funnelId: funnel.id })
  const refused = await through()
  expect([said(refused), refused.body.message]).toEqual([
    [409, 'never-meets'],
    expect.stringContaining('In the funnel “blue”, which was not rinsed'),
  ])
  house.advance(1000)
  expect((await ilse.call(sinkApi.rinsed, { ...on(funnel.id), body: { version: funnel.version } })).status).toBe(200)
  expect((await through()).status).toBe(200)

  const { version, ...facts } = (await sink()).facts
  const tray = { id: uuid(), name: 'left', holdsMl: 12_000 }
  expect((await ilse.call(sinkApi.facts, { body: { version, ...facts, trays: [...facts.trays, tray] } })).status).toBe(200)
  const stand = (drum: WasteDrum) =>
    ilse.call(sinkApi.change, { ...on(drum.id), body: { version: drum.version, vented: true, trayId: tray.id } })
  expect((await stand(await drumOf(acid.id))).status).toBe(200)
  expect(said(await stand(await drumOf(sil.id)))).toEqual([409, 'never-meets'])
  expect(said(await made('sul', { trayId: tray.id }))).toEqual([409, 'never-meets'])
  expect(said(await made('dev', { trayId: uuid() }))).toEqual([422, 'tray'])
  expect(said(await ilse.call(sinkApi.facts, { body: { version: version + 1, ...facts } }))).toEqual([409, 'tray'])
  expect(said(await made('dev', { tareKg: 0.001 }))).toEqual([422, 'tare'])
  expect(said(await made('nob'))).toEqual([422, 'metal'])
})

test('a wrong pour puts a drum in quarantine: nothing goes in, nothing is moved or taken back', async () => {
  const drum = await labelled('dev')
  expect((await pour(drum, [], other('dev', 1000))).status).toBe(200)
  const why = 'somebody poured stop bath into it'
  const shut = await ilse.call(sinkApi.quarantine, { ...on(drum.id), body: { version: (await drumOf(drum.id)).version, why } })
  expect([(shut.body as unknown as WasteDrum).state.standing, (shut.body as unknown as WasteDrum).findings[0]?.rule]).toEqual([
    'quarantined',
    'drum-quarantine',
  ])
  expect(said(await pour(drum, [], other('dev', 10)))).toEqual([409, 'drum-quarantined'])
  const { lines } = (await ilse.send('GET', `/api/drums/${drum.id}`)).body as { lines: { id: string }[] }
  const takeBack = { params: { id: drum.id, entryId: lines[0]!.id }, body: { entryId: uuid(), why: 'not so' } }
  expect(said(await ilse.call(sinkApi.takeBack, takeBack))).toEqual([409, 'drum-quarantined'])
})

test('sealed drums wait for a contractor, are weighed, and are gone as they were; the receipt comes as a file', async () => {
  const drum = await labelled('sil')
  const bottle = await bring(fixer)
  await discard(bottle, 400, { sil: drum.id })
  const arrange = () =>
    ilse.call(sinkApi.arrange, {
      body: { id: uuid(), drumIds: [drum.id], contractor: 'Marsh Haulage', licence: 'W-17', handedBy: 'Ilse Varn' },
    })
  expect(said(await arrange())).toEqual([409, 'drum-open'])
  expect((await ilse.call(sinkApi.seal, { ...on(drum.id), body: { version: (await drumOf(drum.id)).version } })).status).toBe(200)
  expect(said(await pour(drum, [], other('sil', 10)))).toEqual([409, 'drum-sealed'])
  const pickup = (await arrange()).body as unknown as Pickup
  expect(pickup.drums).toMatchObject([{ id: drum.id, ml: 400, collectedKg: null }])
  expect(said(await arrange())).toEqual([409, 'drum-awaited'])
  const collect = (kg: number) =>
    ilse.call(sinkApi.collected, {
      ...on(pickup.id),
      body: { version: pickup.version, receipt: 'R 2041', weights: [{ drumId: drum.id, kg }] },
    })
  expect(said(await collect(0.5))).toEqual([422, 'weight'])
  expect((await collect(1.5)).body).toMatchObject({ receipt: 'R 2041', drums: [{ collectedKg: 1.5 }] })
  expect(said(await collect(1.5))).toEqual([409, 'collected'])
  // what is gone is gone: its bottle's line stays as well
  const { ledger } = (await ilse.call(api.bottle.get, on(bottle.id))).body as { ledger: { id: string; kind: string }[] }
  const line = ledger.find((one) => one.kind === 'discard')!
  const back = await ilse.call(api.bottle.reverse, {
    params: { id: bottle.id, entryId: line.id },
    body: { newId: uuid(), reason: 'not so' },
  })
  expect(said(back)).toEqual([409, 'drum-collected'])
  expect((await bottleOf(bottle.id)).state.volumeMl).toBe(600)
  const sent = await ilse.sendFile('PUT', `/api/pickups/${pickup.id}/receipt`, { name: 'receipt.pdf' }, Buffer.from('%PDF-1.4 received'))
  expect(sent.body).toMatchObject({ file: 'receipt.pdf' })
  for (const path of [`/api/print/drums/${drum.id}`, `/api/print/pickups/${pickup.id}`, `/api/pickups/${pickup.id}/receipt`]) {
    const file = await fetch(`${house.url}${path}`, { headers: { cookie: ilse.cookie } })
    expect([path, file.status, file.headers.get('content-type')]).toEqual([path, 200, 'application/pdf'])
  }
})

test('the first wash of a run goes to the fixers’ drum with it, and comes back with it', async () => {
  const { finished } = tankRuns(() => ilse)
  const before = (await sink()).pending.length
  const { id, answer } = await finished(2, house.now())
  expect(answer.status).toBe(200)
  const mine = (await sink()).pending.filter((row) => row.note.startsWith(`run ${String(answer.body.number)}:`))
  expect(mine.map((row) => [row.drum, row.source]).sort()).toEqual([
    ['dev', 'run'],
    ['sil', 'wash'],
  ])
  const wash = mine.find((row) => row.source === 'wash')!
  expect(wash.ml % 600).toBe(0)
  expect(wash.silverG).toBeGreaterThan(0)
  const drum = await labelled('sil')
  expect((await pour(drum, [wash.id])).status).toBe(200)
  const { version } = (await ilse.send('GET', `/api/runs/${id}`)).body as { version: number }
  expect((await ilse.send('POST', `/api/runs/${id}/take-back`, { version, reason: 'only looked at' })).status).toBe(200)
  expect([(await sink()).pending.length, (await drumOf(drum.id)).state.ml]).toEqual([before, 0])
})

test('silver is recovered from fixers alone, its balance is looked at, and a recovery is taken back by a second line', async () => {
  const [sil, dev] = [await labelled('sil'), await labelled('dev')]
  const body = {
    method: 'electrolysis',
    litres: 10,
    inGPerL: 4,
    outGPerL: 0.5,
    grams: 30,
    assay: 0.9,
    amps: 2,
    hours: 5,
    ironG: null,
    note: '',
  }
  const recover = (drumId: string, more: object = {}) =>
    ilse.call(sinkApi.recover, { body: { id: uuid(), drumId, body: { ...body, ...more } } })
  expect(said(await recover(dev.id))).toEqual([422, 'recovery-drum'])
  expect((await recover(sil.id, { method: 'sulfide' })).status).toBe(400)
  expect((await pour(sil, [], other('sil', 5000, { silverG: 40 }))).status).toBe(200)
  const before = await recovered()
  const row = (await recover(sil.id)).body as unknown as Recovery
  expect([row.leftG, row.foundG, row.findings.map((one) => one.rule)]).toEqual([35, 27, ['recovery-balance']])
  expect((await recovered()) - before).toBeCloseTo(27, 6)
  // what left the liquid is in the drum no more
  expect((await drumOf(sil.id)).state.silverG).toBe(5)
  expect((await ilse.call(sinkApi.recoverBack, { ...on(row.id), body: { entryId: uuid() } })).status).toBe(200)
  expect(said(await ilse.call(sinkApi.recoverBack, { ...on(row.id), body: { entryId: uuid() } }))).toEqual([409, 'reversed'])
  expect((await recovered()) - before).toBeCloseTo(0, 6)
})

test('a paper that has ended allows nothing; two who write a rule at once are told of each other', async () => {
  const rule = { family: 'sel', mlADay: 500, dilution: 10, minutes: 5, paper: 'Letter of the water authority', ends: '2000-01-01' }
  const allow = (version: number | null, more: object = {}) => ilse.call(sinkApi.allow, { body: { version, ...rule, ...more } })
  expect((await allow(null)).body.ended).toBe(true)
  expect(said(await allow(null))).toEqual([409, 'stale'])
  expect((await allow(1, { ends: '2099-12-31' })).body.ended).toBe(false)
  expect((await ilse.call(sinkApi.forbid, { params: { family: 'sel' }, body: { version: 2 } })).status).toBe(200)
  expect((await sink()).rules.filter((one) => one.family === 'sel')).toEqual([])
})

test('by a paper some goes down the drain: so much a day, once, two at once no more; taken back it waits again and is not counted', async () => {
  const bottle = await bring(fixer)
  const waitingOf = async (ml: number) => {
    expect((await discard(bottle, ml)).status).toBe(200)
    return (await sink()).pending.find((row) => row.bottleId === bottle.id && row.ml === ml)!
  }
  const drain = (wasteId: string, family: Family = 'sil') => ilse.call(sinkApi.drain, { body: { wasteId, entryId: uuid(), family } })
  const today = async (): Promise<number | undefined> => (await sink()).rules.find((one) => one.family === 'sil')?.todayMl
  const [one, two, three] = [await waitingOf(200), await waitingOf(250), await waitingOf(50)]
  const before = await everything()
  expect(said(await drain(one.id))).toEqual([409, 'drain-forbidden'])
  expect(await everything()).toEqual(before)
  const rule = { family: 'sil', mlADay: 300, dilution: 20, minutes: 10, paper: 'Letter of the water authority', ends: '2099-12-31' }
  expect((await ilse.call(sinkApi.allow, { body: { version: null, ...rule } })).body).toMatchObject({ ended: false, todayMl: 0 })
  expect(said(await drain(one.id, 'dev'))).toEqual([409, 'drain-family'])
  const both = await Promise.all([drain(one.id), drain(two.id)])
  expect(both.map(said).sort()).toEqual([
    [200, undefined],
    [409, 'drain-day'],
  ])
  const went = both[0]?.status === 200 ? one : two
  expect(await today()).toBe(went.ml)
  expect(said(await drain(went.id))).toEqual([409, 'waste-poured'])
  expect(said(await pour(await labelled('sil'), [went.id]))).toEqual([409, 'waste-poured'])
  // acid into what is still in the trap
  const acid = await labelled('acid')
  expect((await drain(three.id)).status).toBe(200)
  expect((await ilse.call(sinkApi.allow, { body: { version: 1, ...rule, family: 'acid' } })).status).toBe(200)
  const { id: standing } = (await house.one<{ id: string }>(
    `select b.id from bottle b join formula_version v on v.id = b.formula_version_id
     where v.body ->> 'name' = 'Citric stop bath' and b.retired_at is null and (select sum(ml) from bottle_entry e where e.bottle_id = b.id) > 200`,
  ))!
  const stop = await bottleOf(standing)
  expect((await discard(stop, 100)).status).toBe(200)
  const sour = (await sink()).pending.find((row) => row.bottleId === stop.id)!
  expect(said(await drain(sour.id, 'acid'))).toEqual([409, 'never-meets'])
  expect((await pour(acid, [sour.id])).status).toBe(200)

  const { lines } = (await ilse.send('GET', '/api/drain')).body as { lines: { id: string; ml: number; over: boolean }[] }
  expect(lines.map((line) => [line.ml, line.over])).toEqual([
    [50, false],
    [went.ml, false],
  ])
  const back = () => ilse.call(sinkApi.drainBack, { ...on(lines[1]!.id), body: { entryId: uuid(), why: 'it stands in the jug yet' } })
  expect([said(await back()), said(await back())]).toEqual([
    [200, undefined],
    [409, 'reversed'],
  ])
  expect([await today(), (await sink()).pending.some((row) => row.id === went.id)]).toEqual([50, true])
  // and with the bottle’s own line
  const { ledger } = (await ilse.call(api.bottle.get, on(bottle.id))).body as { ledger: { id: string; kind: string; ml: number }[] }
  const line = ledger.find((entry) => entry.kind === 'discard' && entry.ml === -50)!
  const params = { id: bottle.id, entryId: line.id }
  expect((await ilse.call(api.bottle.reverse, { params, body: { newId: uuid(), reason: 'it never was' } })).status).toBe(200)
  expect(await today()).toBe(0)
  for (const { family, version } of (await sink()).rules)
    expect((await ilse.call(sinkApi.forbid, { params: { family }, body: { version } })).status).toBe(200)
})

test('what left bottles and what stands in drums and waits add up, whatever is done', async () => {
  const drums = [await labelled('sil', { volumeMl: 2000 }), await labelled('sil', { volumeMl: 2000 })]
  const bottles = [await bring(fixer), await bring(fixer)]
  const start = (await sink()).pending.reduce((sum, row) => sum + row.ml, 0)
  const drained = async () => (await ilse.send('GET', '/api/drain?limit=200')).body.lines as unknown as DrainLine[]
  const gone0 = (await drained()).filter((one) => !one.over).reduce((sum, one) => sum + one.ml, 0)
  const paper = { family: 'sil', mlADay: 500, dilution: 10, minutes: 5, paper: 'Letter of the water authority', ends: '2099-12-31' }
  expect((await ilse.call(sinkApi.allow, { body: { version: null, ...paper } })).status).toBe(200)
  let left = 0
  const act = fc.record({
    what: fc.constantFrom('away', 'into', 'pour', 'drain', 'back', 'undrain', 'undo'),
    i: fc.nat(1),
    ml: fc.integer({ min: 1, max: 400 }),
  })
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 3, maxLength: 8 }), async (acts) => {
      for (const { what, i, ml } of acts) {
        const [drum, bottle] = [drums[i]!, bottles[i]!]
        house.advance(1000)
        if (what === 'away' || what === 'into') {
          const { status } = await discard(bottle, ml, what === 'into' ? { sil: drum.id } : {})
          if (status === 200) left += ml
        } else if (what === 'pour') {
          const [waits] = (await sink()).pending.filter((row) => bottles.some((one) => one.id === row.bottleId))
          if (waits) await pour(drum, [waits.id])
        } else if (what === 'drain') {
          const [waits] = (await sink()).pending.filter((row) => bottles.some((one) => one.id === row.bottleId))
          if (waits) await ilse.call(sinkApi.drain, { body: { wasteId: waits.id, entryId: uuid(), family: 'sil' } })
        } else if (what === 'undrain') {
          const [line] = (await drained()).filter((one) => !one.over)
          if (line) await ilse.call(sinkApi.drainBack, { ...on(line.id), body: { entryId: uuid(), why: 'not so' } })
        } else if (what === 'back') {
          const { lines } = (await ilse.send('GET', `/api/drums/${drum.id}`)).body as {
            lines: { id: string; kind: string; over: boolean }[]
          }
          const line = lines.find((one) => one.kind === 'pour' && !one.over)
          if (line)
            await ilse.call(sinkApi.takeBack, { params: { id: drum.id, entryId: line.id }, body: { entryId: uuid(), why: 'not so' } })
        } else {
          const { ledger } = (await ilse.call(api.bottle.get, on(bottle.id))).body as {
            ledger: { id: string; kind: string; ml: number; reversed?: boolean }[]
          }
          for (const line of ledger.filter((one) => one.kind === 'discard').slice(0, 1)) {
            const { status } = await ilse.call(api.bottle.reverse, {
              params: { id: bottle.id, entryId: line.id },
              body: { newId: uuid(), reason: 'not so' },
            })
            if (status === 200) left += line.ml
          }
        }
        const now = await sink()
        const waiting = now.pending.reduce((sum, row) => sum + row.ml, 0) - start
        const standing = now.drums.filter((one) => drums.some((own) => own.id === one.id)).reduce((sum, one) => sum + one.state.ml, 0)
        const went = (await drained()).filter((one) => !one.over).reduce((sum, one) => sum + one.ml, 0) - gone0
        expect(waiting + standing + went).toBeCloseTo(left, 3)
        const gone = 2000 - (await Promise.all(bottles.map((one) => bottleOf(one.id)))).reduce((sum, one) => sum + one.state.volumeMl, 0)
        expect(gone).toBeCloseTo(left, 3)
      }
    }),
    { numRuns: 6 },
  )
}, 120_000)
