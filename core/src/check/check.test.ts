import fc from 'fast-check'
import { catalogue } from '../chemical/catalogue'
import { safetyBlocks, handlingBlock, heatingBlock, type Blocks } from './blocks'
import { airChanges, clearedMinutes, glovesLeast } from './figures'
import type { CheckResult, FixtureBody } from './fixture'
import { openingChecks } from './opening'
import { fixtureStanding, requireCheck, type CheckTold } from './standing'

const day = 86_400_000
const now = 1000 * day
const plumbed: FixtureBody = { kind: 'eyewash', name: 'By the sink', plumbed: true }
const bottles: FixtureBody = { kind: 'eyewash', name: 'Toning corner', plumbed: false }
const slot: FixtureBody = { kind: 'ventilation', name: 'Over the trays', areaM2: 0.09 }
const mains: FixtureBody = { kind: 'mains', name: 'Wet side' }
const flush = (more: object = {}): CheckResult =>
  ({ kind: 'flush', seconds: 180, lPerMin: 2, celsius: 21, note: '', ...more }) as CheckResult
const told = (...checks: [daysAgo: number, CheckResult][]): CheckTold[] => checks.map(([ago, result]) => ({ at: now - ago * day, result }))
const stands = (body: FixtureBody, checks: CheckTold[], roomM3: number | null = 28.8) => fixtureStanding(body, checks, { now, roomM3 })

test('the figures of the page: air through a slot, how often it changes, how long after a cloud', () => {
  expect(airChanges({ mPerS: 0.5, areaM2: 0.09, roomM3: 28.8 })).toBeCloseTo(5.6, 1)
  expect(0.5 * 0.09 * 3600).toBeCloseTo(162, 6)
  expect(clearedMinutes(10)).toBeCloseTo(27.6, 1)
  expect(glovesLeast({ people: 3, openings: 4 })).toBe(24)
  expect(() => clearedMinutes(0)).toThrow(/above 0/)
  // twice the air takes half the time
  fc.assert(fc.property(fc.double({ min: 0.1, max: 60, noNaN: true }), (one) => Math.abs(clearedMinutes(2 * one) * 2 - clearedMinutes(one)) < 1e-6))
}) // prettier-ignore

test('an eyewash is flushed each week, long, strong and warm enough', () => {
  expect(stands(plumbed, []).standing).toBe('never')
  expect(stands(plumbed, told([1, flush()])).standing).toBe('good')
  expect(stands(plumbed, told([6.5, flush()])).standing).toBe('due')
  expect(stands(plumbed, told([7, flush()])).standing).toBe('overdue')
  for (const bad of [{ seconds: 170 }, { lPerMin: 1.4 }, { celsius: 15 }, { celsius: 39 }])
    expect(stands(plumbed, told([1, flush(bad)])).standing).toBe('failed')
  // one that failed is good again when it was found good
  expect(stands(plumbed, told([2, flush({ seconds: 60 })], [1, flush()])).standing).toBe('good')
  expect(stands(plumbed, told([1, flush({ lPerMin: null })]))).toMatchObject({ standing: 'good', says: [expect.stringMatching(/Nobody measured/)] })
  const until = (days: number) => stands(bottles, told([300, { kind: 'date', useBy: now + days * day, note: '' }])).standing
  expect([until(60), until(20), until(-1)]).toEqual(['good', 'due', 'overdue'])
}) // prettier-ignore

test('a ventilation that does not draw has failed, whatever the meter said before; too little air is said', () => {
  const draws = (ok: boolean): CheckResult => ({ kind: 'tissue', draws: ok, note: '' })
  const meter = (mPerS: number): CheckResult => ({ kind: 'meter', mPerS, note: '' })
  expect(stands(slot, told([3, meter(1)], [0, draws(true)])).standing).toBe('good')
  expect(stands(slot, told([3, meter(1)], [0, draws(false)])).standing).toBe('failed')
  expect(stands(slot, told([3, meter(0.5)])).says.join()).toMatch(/5\.6 times an hour.*Under 6/)
  expect(stands(slot, told([3, meter(0.5)]), null).says.join()).toMatch(/How large the room is/)
  expect(stands(slot, told([40, meter(1)])).standing).toBe('due')
})

test('mains each half year; gloves by size', () => {
  const trip = (trips: boolean): CheckResult => ({ kind: 'trip', trips, note: '' })
  expect([100, 175, 184].map((ago) => stands(mains, told([ago, trip(true)])).standing)).toEqual(['good', 'due', 'overdue'])
  expect(stands(mains, told([1, trip(false)])).standing).toBe('failed')
  const gloves: FixtureBody = { kind: 'gloves', name: 'Nitrile', sizes: [{ size: 'S', people: 1 }, { size: 'M', people: 3 }], openings: 4 } // prettier-ignore
  expect(stands(gloves, told([1, { kind: 'count', pairs: [{ size: 'S', pairs: 8 }, { size: 'M', pairs: 20 }], note: '' }])).says).toEqual(['▲ M: 20 pairs, at least 24 should lie there.']) // prettier-ignore
  expect(() => requireCheck(mains, flush())).toThrow(/not how this is looked at/)
})

test('what is blocked goes by what a substance is: eyes, air, heat', () => {
  const of = (...all: [FixtureBody, CheckTold[]][]): Blocks =>
    safetyBlocks(all.map(([body, checks]) => ({ body, is: stands(body, checks) })))
  const chemical = (id: string) => catalogue[id] ?? catalogue['sodium-sulfite']! // prettier-ignore
  const blocked = (id: string, blocks: Blocks): boolean => handlingBlock(chemical(id), blocks) !== null
  const good = of([plumbed, told([1, flush()])], [bottles, told([9, { kind: 'date', useBy: now - day, note: '' }])])
  // one in order is enough
  expect(good).toEqual({ eyewash: null, ventilation: null, mains: null })
  const late = of([plumbed, told([8, flush()])])
  expect(['acetic-acid-glacial', 'sodium-hydroxide', 'potassium-hydroxide', 'silver-nitrate', 'acetic-acid-28', 'sodium-sulfite'].map((id) => blocked(id, late))).toEqual([true, true, true, true, false, false]) // prettier-ignore
  expect(of().eyewash).toMatch(/No eyewash is written down/)
  const still = of([plumbed, told([1, flush()])], [slot, told([0, { kind: 'tissue', draws: false, note: '' }])])
  expect(['sodium-sulfite', 'sodium-sulfide', 'acetic-acid-28'].map((id) => blocked(id, still))).toEqual([true, true, true])
  const unsafe = of([plumbed, told([1, flush()])], [mains, told([200, { kind: 'trip', trips: true, note: '' }])])
  expect(heatingBlock([20, 38], unsafe)).toMatch(/No bath is heated/)
  expect([heatingBlock([20, 24], unsafe), heatingBlock([38], good)]).toEqual([null, null])
})

test('before the doors open every ventilation is held a tissue to, and what is not in order is said', () => {
  const opensAt = 100 * 86_400_000
  const vent = { kind: 'ventilation' as const, name: 'Slot', areaM2: 0.09 }
  const tissue = (hoursBefore: number) => ({
    at: opensAt - hoursBefore * 3_600_000,
    result: { kind: 'tissue' as const, draws: true, note: '' },
  })
  const of = (
    standing: 'good' | 'failed' | 'overdue',
    body: Parameters<typeof openingChecks>[0][number]['body'],
    ...checks: ReturnType<typeof tissue>[]
  ) => openingChecks([{ id: 'x', body, standing: { standing }, checks }], opensAt)
  expect(of('good', vent, tissue(2))[0]?.done).toBe(true)
  // yesterday's counts for yesterday
  expect(of('good', vent, tissue(26))[0]).toMatchObject({ done: false, says: 'Slot: hold a tissue to it.' })
  expect(of('failed', vent, tissue(2))[0]).toMatchObject({ done: false, says: 'Slot: it failed its check.' })
  const mains = { kind: 'mains' as const, name: 'Wet side' }
  expect(of('good', mains)).toEqual([])
  expect(of('overdue', mains)[0]?.says).toBe('Wet side: its check is overdue.')
})
