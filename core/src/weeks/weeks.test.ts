import { aWish, developer, eveningHouse, eveningOfOne, fixer } from '../samples'
import { usualRoom } from '../evening/room'
import type { HouseFormula } from './plentiful'
import type { OrderWish } from '../order/order'
import { weeksOf, type WeeksAsked } from './weeks'
import type { Weeks } from './result'
import { openingsFrom } from './openings'

const house: WeeksAsked['house'] = {
  ...eveningHouse,
  processes: Object.entries(eveningHouse.versions).map(([versionId, body]) => ({ id: aWish.processId, versionId, body })),
  room: { ...eveningHouse.room, hands: 1 },
  bottles: eveningHouse.bottles.map((one) => ({ ...one, shelf: { ...one.shelf, ...one.facts } })),
}
const formulas = [developer, fixer].map(({ id, ...body }) => ({ id, body: body as unknown as HouseFormula['body'] }))
const hour = 3_600_000
const day = 24 * hour
/** Tuesday 13 January 1970, noon: the next opening is that evening. */
const now = 12 * day + 12 * hour

const order = (id: string, wish: Partial<OrderWish> = {}, promised: string | null = null) => ({
  id,
  wish: { ...aWish, count: 1, ...wish },
  promised,
})
function spread(orders: WeeksAsked['orders'], more: Partial<WeeksAsked> = {}): Weeks {
  const search = weeksOf({ house, formulas, evenings: [], orders, now, days: 14, seed: 1, rounds: 20, ...more })
  for (;;) {
    const next = search.next()
    if (next.done) return next.value
  }
}
const dayOf = (weeks: Weeks, id: string): string | undefined => weeks.openings.find((one) => one.orders.includes(id))?.day

test('openings are those of the week without the closures, with the hours of what is planned, and none that is over', () => {
  const asked = { now, days: 8, zone: 'UTC' }
  const days = (room: Partial<typeof usualRoom> = {}, planned = [] as Parameters<typeof openingsFrom>[1]) =>
    openingsFrom({ ...usualRoom, ...room }, planned, asked).map((one) => one.day)
  expect(days()).toEqual(['1970-01-13', '1970-01-14', '1970-01-15', '1970-01-16', '1970-01-17', '1970-01-20'])
  expect(days({ closures: [{ from: '1970-01-14', until: '1970-01-16', why: 'floor' }] })).toEqual([
    '1970-01-13',
    '1970-01-17',
    '1970-01-20',
  ])
  // Monday is closed, but somebody planned it
  const monday = { day: '1970-01-19', opensAt: 18 * day, closesAt: 18 * day + hour }
  expect(days({}, [monday])).toContain('1970-01-19')
  expect(openingsFrom(usualRoom, [], { ...asked, now: now + 11 * hour })[0]?.day).toBe('1970-01-14')
})

test('all that goes together goes on the first day; what is there later, or has no room, on a later one', () => {
  const early = spread([order('a'), order('b'), order('c', { earliest: 15 * day })])
  expect([dayOf(early, 'a'), dayOf(early, 'b'), dayOf(early, 'c')]).toEqual(['1970-01-16', '1970-01-16', '1970-01-16'])
  const wanted = spread([order('a', { wantedBy: 14 * day }), order('b'), order('c', { earliest: 15 * day })])
  expect([dayOf(wanted, 'a'), dayOf(wanted, 'c'), wanted.past]).toEqual(['1970-01-13', '1970-01-16', []])
  const many = spread(Array.from({ length: 60 }, (_, i) => order(`o${i}`, { critical: true })))
  const used = many.openings.filter((one) => one.orders.length > 0)
  expect(used.length).toBeGreaterThan(1)
  for (const one of used) {
    expect(one.wantedS).toBeLessThanOrEqual(one.thereS)
    expect(one.loads.every((load) => load.length === 1)).toBe(true)
  }
  expect(many.openings.reduce((sum, one) => sum + one.orders.length, 0) + many.without.length).toBe(60)
})

test('a promised day is kept as if it was wanted by then; what comes too late is named', () => {
  const first = spread([order('a', {}, '1970-01-14'), order('b', { earliest: 16 * day })])
  expect(dayOf(first, 'a')! <= '1970-01-14').toBe(true)
  const closed = { ...house, room: { ...house.room, closures: [{ from: '1970-01-01', until: '1970-01-14', why: 'floor' }] } }
  const later = spread([order('a', { wantedBy: 14 * day })], { house: closed })
  expect([dayOf(later, 'a'), later.past]).toEqual(['1970-01-15', ['a']])
})

test('an evening that is planned has room for what it has room for, and costs no other opening', () => {
  const at = (ms: number) => 12 * day + (ms % day)
  const [load] = eveningOfOne.loads
  const { startAt } = load!.place!
  const body = {
    ...eveningOfOne,
    ...{ opensAt: at(eveningOfOne.opensAt), closesAt: at(eveningOfOne.closesAt) },
    people: eveningOfOne.people.map((one) => ({ ...one, fromAt: at(one.fromAt), untilAt: at(one.untilAt) })),
    loads: [{ ...load!, readyAt: at(load!.readyAt), dueAt: at(load!.dueAt), place: { ...load!.place!, startAt: at(startAt) } }],
  }
  const { openings } = spread([order('a')], { evenings: [{ day: '1970-01-13', body, runs: [] }] })
  expect(openings[0]).toMatchObject({ planned: true, orders: ['a'], films: 2 })
})

test('what is missing for a week is forecast by formula: what is poured away in ml of stock, what is used again in rolls', () => {
  const { mixing } = spread(Array.from({ length: 30 }, (_, i) => order(`o${i}`, { critical: true })))
  const of = (formulaId: string) => mixing.filter((one) => one.formulaId === formulaId)
  const [thrown, again] = [of(developer.id), of(fixer.id)]
  expect([new Set(thrown.map((one) => one.unit)), new Set(again.map((one) => one.unit))]).toEqual([new Set(['ml']), new Set(['rolls'])])
  // one film at 1+1 in 300 ml each
  expect(thrown.reduce((sum, one) => sum + one.wanted, 0)).toBeCloseTo(30 * 150, 6)
  expect(again.reduce((sum, one) => sum + one.wanted, 0)).toBeCloseTo(30, 6)
  const there = 1000
  expect(thrown.reduce((sum, one) => sum + one.missing, 0)).toBeCloseTo(30 * 150 - there, 6)
  for (const one of mixing) expect(one.missing > 0).toBe(one.by !== null && one.mixMl > 0)
})
