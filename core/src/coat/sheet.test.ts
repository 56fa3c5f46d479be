import fc from 'fast-check'
import { cyanotypeSheet } from '../samples'
import type { CoatAct } from './acts'
import { benchPartOf, coatCautions, mixedInto } from './bench'
import { platinumContrasts } from './coating'
import { lightOf, uvLampBody, uvMoved, type UvLampBody, type UvLight } from './light'
import { coatMix, coatMixed, requireCoated, scaleOfSheet, type CoatedBody } from './sheet'
import { coatFindings, coatStanding, requireCoatAct, type CoatTold } from './standing'
import { coatedSteps } from './steps'

const palladium: CoatedBody = { ...cyanotypeSheet, process: 'palladium', widthCm: 20, heightCm: 25, contrast: 'normal' }
const drops = (body: CoatedBody) => coatMix(body).map((one) => [one.part, one.drops])

test('what a solution is on the bench goes by what is in it', () => {
  const part = (...ids: string[]) => benchPartOf(ids)?.part ?? null
  expect(part('ferric-ammonium-citrate-green', 'tartaric-acid', 'silver-nitrate')).toBe('sensitizer')
  expect(part('silver-nitrate')).toBeNull()
  expect(part('ferric-ammonium-citrate-green')).toBe('iron')
  expect(part('potassium-ferricyanide')).toBe('ferricyanide')
  // a bleach is no sensitizer, whatever its label says
  expect(part('potassium-ferricyanide', 'potassium-bromide')).toBeNull()
  expect(part('ferric-oxalate')).toBe('iron-a')
  expect(part('ferric-oxalate', 'potassium-chlorate')).toBe('iron-b')
  expect(part('sodium-chloride', 'palladium-chloride')).toBe('palladium')
  expect(part('potassium-chloroplatinite')).toBe('platinum')
  expect(part()).toBeNull()
  expect(coatCautions('iron-silver').join(' ')).toMatch(/goggles.*ammonia/)
})

test('a part stands on the shelf for what it is mixed into', () => {
  const recipe = (id: string, chemicals: string[], parts: string[] = []) => ({
    id,
    body: { additions: chemicals.map((chemical) => ({ chemical })), combine: parts.map((formulaId) => ({ formulaId })) },
  })
  const iron = 'ferric-ammonium-citrate-green'
  const recipes = [
    ...[recipe('a', [iron]), recipe('b', ['tartaric-acid']), recipe('c', ['silver-nitrate']), recipe('mixed', [], ['a', 'b', 'c'])],
    ...[recipe('own', [iron]), recipe('red', ['potassium-ferricyanide']), recipe('blue', [], ['own', 'red'])],
  ]
  expect(mixedInto('a', recipes)).toEqual(['iron-silver'])
  expect(mixedInto('own', recipes)).toEqual(['cyanotype'])
  expect(mixedInto('mixed', recipes)).toEqual([])
})

test('parts of a sheet in drops: halves of a cyanotype, platinum among the palladium, strips beside it', () => {
  expect(drops({ ...cyanotypeSheet, process: 'iron-silver', widthCm: 20, heightCm: 25, coatedWith: 'rod' })).toEqual([['sensitizer', 22]])
  expect(coatMixed(cyanotypeSheet)).toEqual([{ part: 'sensitizer', drops: 16, ml: 0.8 }])
  expect(drops(palladium)).toEqual([['iron-a', 14], ['iron-b', 8], ['palladium', 22]]) // prettier-ignore
  expect(drops({ ...palladium, platinumDrops: 6 })).toEqual([['iron-a', 14], ['iron-b', 8], ['palladium', 16], ['platinum', 6]]) // prettier-ignore
  expect(drops({ ...palladium, process: 'platinum', contrast: 'very soft' })).toEqual([['iron-a', 22], ['platinum', 22]]) // prettier-ignore
  // as much liquid out of a smaller dropper
  const ml = (body: CoatedBody) => coatMix(body).reduce((sum, one) => sum + one.ml, 0)
  expect(Math.abs(ml({ ...palladium, dropMl: 0.025 }) - ml(palladium))).toBeLessThan(0.051)
  fc.assert(
    fc.property(fc.double({ min: 4, max: 100, noNaN: true }), fc.constantFrom(...platinumContrasts), fc.nat(200), (widthCm, contrast, platinumDrops) => {
      const parts = coatMix({ ...palladium, widthCm, contrast, platinumDrops })
      const sum = (...of: string[]) => parts.filter((one) => of.includes(one.part)).reduce((all, one) => all + one.drops, 0)
      expect(sum('iron-a', 'iron-b')).toBe(sum('palladium', 'platinum'))
    }),
  ) // prettier-ignore
})

test('a contrast where there is one, and none elsewhere; the range a sheet wants goes with it', () => {
  expect(() => requireCoated({ ...palladium, contrast: null })).toThrow(/how hard/)
  expect(() => requireCoated({ ...cyanotypeSheet, contrast: 'hard' })).toThrow(/Only platinum/)
  expect(() => requireCoated({ ...palladium, process: 'platinum', platinumDrops: 3 })).toThrow(/counted among/)
  expect(scaleOfSheet({ ...palladium, contrast: 'very soft' })).toBe(1.85)
  expect(scaleOfSheet({ ...palladium, process: 'platinum', contrast: 'very soft' })).toBeCloseTo(1.5, 9)
  expect(scaleOfSheet({ ...palladium, contrast: 'very soft', platinumDrops: 11 })).toBeCloseTo(1.675, 9)
})

const lamp = (more: Partial<UvLampBody> = {}): UvLampBody => ({ name: 'Bank', kind: 'tubes', watts: 300, bankCm: 45, hours: 0, measured: null, note: '', ...more }) // prettier-ignore
const light = (more: Partial<UvLampBody>[], distanceCm = 12): UvLight => lightOf(more.map(lamp), distanceCm)

test('a time goes from one light to another by what the lamps give; kinds are never mixed', () => {
  const from = light([{}])
  const three = [{}, {}, { watts: 150 }]
  expect(uvMoved(720, from, light(three)) / 60).toBeCloseTo(4.8, 9)
  expect(uvMoved(720, from, light(three.map((one) => ({ ...one, hours: 500 })))) / 60).toBeCloseTo(5.333, 3)
  // a meter replaces the hours
  expect(uvMoved(720, from, light(three.map((one) => ({ ...one, hours: 4900, measured: 0.8 })))) / 60).toBeCloseTo(6, 9)
  const point = { kind: 'point', bankCm: null } as const
  expect(uvMoved(720, light([point], 40), light([point], 60)) / 60).toBeCloseTo(27, 9)
  expect(uvMoved(720, from, light([{}], 40))).toBe(720)
  expect(() => uvMoved(720, from, light([{}], 60))).toThrow(/strip/)
  expect(() => uvMoved(720, from, light([point]))).toThrow(/expose a strip/)
  expect(() => lightOf([lamp(), lamp(point)], 12)).toThrow(/two kinds/)
  expect(uvLampBody.safeParse(lamp({ bankCm: null })).success).toBe(false)
  expect(uvLampBody.safeParse(lamp(point)).success).toBe(true)
})

const hourMs = 3_600_000
const ids = { bottleId: '01890000-0000-7000-8000-000000000001', entryId: '01890000-0000-7000-8000-000000000002' }
const under = { lamps: [ids.bottleId], distanceCm: 12 }
const coat: CoatAct = { kind: 'coat', poured: [{ part: 'iron', drops: 8, ...ids }], humidity: 55 }
const dry = (seconds: number): CoatAct => ({ kind: 'dry', seconds })
const strip: CoatAct = { kind: 'strip', firstS: 240, stepStops: 0.5, bands: 5, ...under }
const expose: CoatAct = { kind: 'expose', seconds: 570, ...under }
/** acts an hour after one another */
const told = (...acts: CoatAct[]): CoatTold[] => acts.map((act, i) => ({ at: i * hourMs, act, light: 'lamps' in act ? light([{}]) : null }))
const standing = (...acts: CoatAct[]) => coatStanding('cyanotype', told(...acts))

test('a print goes from coating to its last wash, and nothing comes out of turn', () => {
  expect(standing(coat)).toMatchObject({ stage: 'dry', coatedAt: 0 })
  const read = standing(coat, dry(1500), strip, { kind: 'read', chosen: [2, 3] })
  expect(read.strip?.seconds).toBeCloseTo(240 * 2 ** 1.25, 6)
  const last = coatedSteps('cyanotype').length - 1
  const bathed = standing(coat, dry(1500), expose, { kind: 'step', step: 2, seconds: 400 }, { kind: 'step', step: last, seconds: null })
  expect(bathed).toMatchObject({ stage: 'process', step: last + 1, tookS: [1500, 570, 400, null] })
  const may = (one: ReturnType<typeof standing>, act: CoatAct) => () => requireCoatAct('cyanotype', one, act)
  expect(may(standing(), expose)).toThrow(/not coated/)
  expect(may(standing(coat), coat)).toThrow(/drying/)
  expect(may(standing(coat), expose)).toThrow(/say first that it is dry/)
  expect(may(standing(coat, dry(1500)), { kind: 'read', chosen: [0] })).toThrow(/No strip/)
  expect(may(standing(coat, dry(1500), strip), { kind: 'read', chosen: [5] })).toThrow(/5 bands/)
  expect(may(bathed, { kind: 'step', step: 2, seconds: 10 })).toThrow(/already/)
  expect(may(bathed, { kind: 'step', step: last + 1, seconds: 10 })).toThrow(/already/)
  expect(may(standing(coat, { kind: 'done', said: 'spoiled' }), dry(1500))).toThrow(/finished/)
})

test('a slip of the hand is taken back, one after another; what was poured or had its light stays', () => {
  const back: CoatAct = { kind: 'back' }
  const step = (n: number): CoatAct => ({ kind: 'step', step: n, seconds: 60 })
  const bathed = [coat, dry(1500), expose, step(2), step(3), { kind: 'done', said: 'too light' } as CoatAct]
  expect(standing(...bathed)).toMatchObject({ stage: 'done', last: 'done' })
  expect(standing(...bathed, back)).toEqual(standing(...bathed.slice(0, 5)))
  expect(standing(...bathed, back, back, back)).toEqual(standing(...bathed.slice(0, 3)))
  // a step done anew after it counts
  expect(standing(...bathed, back, back, step(3)).tookS[3]).toBe(60)
  const stays = standing(...bathed, back, back, back)
  expect(stays.last).toBeNull()
  expect(() => requireCoatAct('cyanotype', stays, back)).toThrow(/stays as it was written/)
  expect(() => requireCoatAct('cyanotype', standing(), back)).toThrow(/nothing to take back/)
  expect(standing(coat, dry(10), back)).toEqual(standing(coat))
})

test('damp, dry air, a coat that lies too long', () => {
  const rules = (body: CoatedBody, acts: CoatAct[], now = 0) => coatFindings(body, coatStanding(body.process, told(...acts)), now).map((one) => one.rule)
  expect(rules({ ...cyanotypeSheet, range: 1 }, [])).toEqual(['coat-negative-soft'])
  expect(rules({ ...cyanotypeSheet, range: null }, [])).toEqual([])
  expect(rules(cyanotypeSheet, [{ ...coat, humidity: 31 } as CoatAct])).toEqual(['coat-humidity'])
  expect(rules(cyanotypeSheet, [coat, dry(1140)])).toEqual(['coat-wet'])
  expect(rules(cyanotypeSheet, [coat, dry(1140), expose])).toEqual([])
  expect(rules(cyanotypeSheet, [coat, dry(1500)], 24 * hourMs)).toEqual([])
  expect(rules(cyanotypeSheet, [coat, dry(1500)], 25 * hourMs)).toEqual(['coat-old'])
  expect(rules({ ...palladium, range: 1.55 }, [coat, dry(1500)], 7 * hourMs)).toEqual(['coat-old'])
  expect(rules(cyanotypeSheet, [coat, dry(1500), expose], 99 * hourMs)).toEqual([])
}) // prettier-ignore
