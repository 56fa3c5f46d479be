import { darkroomEvening, eveningHouse, eveningOfOne, eveningOrder } from '../samples'
import type { EveningBody, EveningLoad } from './body'
import { closingOf } from './closing'
import { darkroomOf } from './darkroomOf'
import type { EveningHouse, LoadRun } from './house'
import { loadsFor, mergedLoads, rebottled, splitLoad, type WaitingOrder } from './loads'
import { dayOf, openOn } from './openOn'
import { prepOf } from './prep'
import { otherLightIn } from '../printing/otherLight'
import { withOtherBottles } from './otherBottles'
import { rearranged } from './rearranged'
import { eveningAsIs, requireEvening, type EveningOrder } from './require'
import { printingLight, roomBody, usualRoom, type RoomBody, type RoomUse } from './room'
import { movedIn, ordersMoved, withPlaces } from './taken'
import { asPlacedTimes } from './times'

const [only] = eveningOfOne.loads as [EveningLoad]
const opens = eveningOfOne.opensAt
const minute = 60_000
/** Four rolls of four people, each in a load of its own, one after another in two tanks. */
const tanks = ['tank', 'second'].map((id) => ({ ...eveningHouse.vessels[0]!, id, name: `Tank ${id}` }))
const full = (ml: number) =>
  eveningHouse.bottles.map((one) => ({
    ...one,
    carry: { ...one.carry, volumeMl: ml },
    shelf: { ...one.shelf, state: { ...one.shelf.state, volumeMl: ml, rollsLeft: null } },
  })) as EveningHouse['bottles']
const house: EveningHouse = { ...eveningHouse, vessels: tanks, bottles: full(5000) }
const loadNo = (i: number, place: Partial<NonNullable<EveningLoad['place']>> | null = {}): EveningLoad => ({
  ...only,
  id: `l${i}`,
  orders: [`o${i}`],
  request: { ...only.request, films: [{ ...only.request.films[0]!, id: `f${i}` }] },
  place: place && { ...only.place!, startAt: opens + i * 60 * minute, vesselId: i % 2 === 0 ? 'tank' : 'second', ...place },
})
const orders: EveningOrder[] = [0, 1, 2, 3].map((i) => ({ ...eveningOrder, id: `o${i}`, number: i, member: `Member ${i}` }))
const evening = (loads: EveningLoad[], more: Partial<EveningBody> = {}): EveningBody => ({ ...eveningOfOne, loads, ...more })
const three = evening([loadNo(0), loadNo(1), loadNo(2)])
const known = { house, runs: [] as LoadRun[], orders, people: { p1: 'Ilse' } as Record<string, string>, now: 0 }
const asks = (before: EveningBody, after: EveningBody, more: Partial<typeof known> = {}) =>
  requireEvening(before, after, { ...known, ...more })
const move = (body: EveningBody, id: string, place: Partial<NonNullable<EveningLoad['place']>>): EveningBody => ({
  ...body,
  loads: body.loads.map((load) => (load.id === id ? { ...load, place: { ...load.place!, ...place } } : load)),
})

test('hours are those of the day, closures go before them, and a night lasts as long as it lasts', () => {
  const room = { ...usualRoom, hours: usualRoom.hours.map(() => ({ opens: '20:00', closes: '04:00' })) }
  const zone = 'Europe/Lisbon'
  const hours = (day: string) => {
    const open = openOn(room, day, zone)
    return 'opensAt' in open ? (open.closesAt - open.opensAt) / 3_600_000 : open.closed
  }
  expect([hours('2026-04-14'), hours('2026-03-28'), hours('2026-10-24')]).toEqual([8, 7, 9])
  expect(openOn({ ...room, closures: [{ from: '2026-04-10', until: '2026-04-14', why: 'floor' }] }, '2026-04-14', zone)).toEqual({
    closed: 'floor',
  })
  expect(openOn({ ...room, hours: room.hours.map(() => null) }, '2026-04-14', zone)).toEqual({ closed: 'No opening hours on Tuesdays' })
  expect(dayOf(Date.UTC(2026, 3, 14, 23, 30), zone)).toBe('2026-04-15')
})

test('on the night the clocks change an evening has 23 or 25 hours behind its midnight, and its loads are where they were put', () => {
  for (const [day, hour] of [
    ['2026-03-29', 19],
    ['2026-10-25', 21],
  ] as const) {
    const opensAt = Date.parse(`${day}T20:00:00${hour === 19 ? '+01:00' : 'Z'}`)
    const body = evening([loadNo(0, { startAt: opensAt })], { opensAt, closesAt: opensAt + 14_400_000 })
    const shown = darkroomOf(body, { ...house, zone: 'Europe/Lisbon' }, [], { now: 0 })
    expect(shown.room.opensS).toBe(hour * 3600)
    expect(asPlacedTimes(body, eveningAsIs(body, { ...house, zone: 'Europe/Lisbon' }, [], 0), 'Europe/Lisbon').o0?.beginsAt).toBe(opensAt)
  }
})

test('a place that meets nothing is taken; one that meets something is refused in words, unless it did before', () => {
  expect(eveningAsIs(three, house, [], 0).breaches).toEqual([])
  asks(three, move(three, 'l1', { startAt: opens + 70 * minute }))
  expect(() => asks(three, move(three, 'l1', { startAt: opens, vesselId: 'tank' }))).toThrow(
    /^Member 1 cannot be there\. Tank tank holds Member 0/,
  )
  expect(() => asks(three, move(three, 'l1', { startAt: opens - minute }))).toThrow('It is closed until 18:00.')
  // by the clock of the evening l0 is too late: others may be moved all the same
  const late = { now: opens + 5 * minute }
  expect(() => asks(three, move(three, 'l0', { startAt: opens + minute }), late)).toThrow(/not there before 18:05/)
  asks(three, move(three, 'l2', { startAt: opens + 150 * minute }), late)
})

test('a film is in an evening once, and as it was ordered', () => {
  const twice = evening([loadNo(0), { ...loadNo(1), orders: ['o0'] }])
  expect(() => asks(three, twice)).toThrow('Order 0 of Member 0 has 1 films, and 2 are in this evening.')
  const withOrder = (more: Partial<EveningOrder>) => ({ orders: orders.map((one) => (one.id === 'o1' ? { ...one, ...more } : one)) })
  expect(() => asks(three, three, withOrder({ state: 'withdrawn' }))).toThrow('Order 1 of Member 1 was withdrawn.')
  expect(() => asks(three, three, withOrder({ ei: 800 }))).toThrow(/Order 1 of Member 1 was changed meanwhile/)
  expect(() => asks(three, evening([loadNo(7)]))).toThrow(/is not there any more/)
})

const runOf = (id: string, more: Partial<LoadRun> = {}): LoadRun => ({
  ...{ id, number: 12, state: 'running', endedAt: null, startedAt: opens + 10 * minute },
  plan: eveningAsIs(three, house, [], 0).plans.l0!,
  ...more,
})

test('what is begun is where it was begun, and nothing moves or takes it out', () => {
  const runs = [runOf('l0')]
  const { rota, evening: shown } = eveningAsIs(three, house, runs, opens + 12 * minute)
  expect(shown.begun).toHaveLength(1)
  // its first pour was at ten past; before that it was loaded
  expect(rota.placed.find((one) => one.load === 'l0')?.startS).toBe(64_800 + 600 - only.loadingS)
  expect(() => asks(three, move(three, 'l0', { startAt: opens + 90 * minute }), { runs })).toThrow(
    'Member 0 is run 12 by now: it stays where it is.',
  )
  expect(() => asks(three, evening(three.loads.slice(1)), { runs })).toThrow(/is run 12 by now/)
  // a run that was given up before it was wet is no run
  asks(three, move(three, 'l0', { startAt: opens + 150 * minute, vesselId: 'second' }), { runs: [runOf('l0', { state: 'abandoned' })] })
})

test('what is out of order is not planned with', () => {
  const without = { ...house, out: ['second'] }
  expect(eveningAsIs(three, without, [], 0).rota.unplaced.map((one) => one.load)).toEqual(['l1'])
  const { body } = rearranged(three, without, [], { now: 0, seed: 1, rounds: 3 })
  expect(body.loads.map((load) => load.place?.vesselId)).toEqual(['tank', 'tank', 'tank'])
})

test('an evening is arranged anew with as little change as does the job', () => {
  // somebody came later: the others stay
  const more = evening([...three.loads, loadNo(3, null)])
  const first = rearranged(more, house, [], { now: 0, seed: 1, rounds: 3 })
  expect(first.told).toEqual(['o3'])
  expect(movedIn(more, first.body).map((one) => one.load)).toEqual(['l3'])
  expect(eveningAsIs(first.body, house, [], 0).breaches).toEqual([])
  // the first begins too late, and another stands in its tank an hour on: nobody else is moved
  const late = rearranged(three, house, [], { now: opens + 5 * minute, seed: 1, rounds: 3 })
  expect(late.told).toEqual(['o0'])
  // where everything is fixed it stays
  const fixed = evening(more.loads.map((load) => ({ ...load, fixed: load.place !== null })))
  expect(ordersMoved(fixed, rearranged(fixed, house, [], { now: 0, seed: 1, rounds: 3 }).body)).toEqual(['o3'])
})

test('places of a plan come into the evening as they are, whole seconds and all', () => {
  const { rota } = eveningAsIs(three, house, [], 0)
  expect(movedIn(three, withPlaces(three, { rota, left: [] }, 'UTC'))).toEqual([])
  const gone = withPlaces(three, { rota: { placed: [], unplaced: [{ load: 'l0', reason: 'hands' }] }, left: [{ load: 'l1' }] }, 'UTC')
  expect(gone.loads.map((load) => [load.place === null, load.unplaced])).toEqual([
    [true, 'hands'],
    [true, 'bottle'],
    [false, null],
  ])
})

const wish = {
  ...only.request.films[0]!,
  count: 1,
  processId: 'p',
  developer: null,
  earliest: null,
  wantedBy: null,
  present: false,
  critical: false,
  note: '',
}
const waiting = (id: string, more: Partial<WaitingOrder> = {}): WaitingOrder => ({
  ...{ ...wish, id, number: 1, memberId: 'm1', member: 'Tilda Rook' },
  ...more,
})

test('orders become loads with their films and owners; what cannot be made is left with why', () => {
  const [versionId] = Object.keys(darkroomEvening.processes) as [string]
  const kept: EveningHouse = {
    ...house,
    processes: [{ id: 'p', versionId, body: darkroomEvening.processes[versionId]! }],
    bottles: darkroomEvening.bottles.map((one) => ({
      ...one,
      shelf: { ...one.shelf, ...one.facts, use: one.formula.use },
    })) as EveningHouse['bottles'],
  }
  let made = 0
  const { loads, left } = loadsFor(
    [waiting('a'), waiting('b', { memberId: 'm2' }), waiting('c', { memberId: null }), waiting('d', { film: 'Unknown 25' })],
    eveningOfOne,
    kept,
    () => `new ${made++}`,
  )
  expect(loads.map((load) => [load.orders, load.request.films.map((film) => film.memberId), load.place])).toEqual([
    [['a', 'b'], ['m1', 'm2'], null],
  ])
  expect(left.map((one) => one.order).sort()).toEqual(['c', 'd'])
})

test('a load is parted by its orders, and put together with what goes through the same bottles', () => {
  const both = mergedLoads(loadNo(0), loadNo(1))
  expect([both.orders, both.request.films.length, both.weight]).toEqual([['o0', 'o1'], 2, 2])
  const [rest, apart] = splitLoad(both, 'o1', 'new')
  expect([rest.orders, rest.loadingS, apart.id, apart.orders, apart.place]).toEqual([['o0'], 300, 'new', ['o1'], null])
  expect(() => splitLoad(rest, 'o0', 'x')).toThrow(/nothing to part/)
  const warm = { ...loadNo(1), request: { ...loadNo(1).request, temperatureC: 24 } }
  expect(() => mergedLoads(loadNo(0), warm)).toThrow(/cannot be one load/)
  expect(() => mergedLoads(loadNo(0), { ...loadNo(1), request: { ...loadNo(1).request, critical: true } })).toThrow(/go alone/)
})

test('the list before the doors: what is measured out when, and what stands in the record is ticked off', () => {
  const asIs = eveningAsIs(three, house, [], 0)
  const list = (runs: LoadRun[] = [], ticked: string[] = []) =>
    prepOf(three, { house, runs, asIs: runs.length > 0 ? eveningAsIs(three, house, runs, opens) : asIs, ticked })
  const fills = list().filter((task) => task.kind === 'fill')
  expect(fills.map((task) => [task.load, task.byS, task.done])).toEqual([
    ['l0', 64_800 - 900, false],
    ['l1', 68_400 - 900, false],
    ['l2', 72_000 - 900, false],
  ])
  expect(fills[0]?.jugs.map((jug) => jug.label)).toEqual(['D1', 'F1'])
  expect(list([runOf('l0')], ['fill l2']).flatMap((task) => (task.kind === 'fill' ? [task.done] : []))).toEqual([true, false, true])
  // the bottles stand ready before the doors open, the trays before the first print
  const prints = [{ id: 'p', memberId: 'm1', fromAt: opens + 60 * minute, untilAt: opens + 90 * minute }]
  const out = prepOf(three, { house: { ...house, prints }, runs: [], asIs, ticked: ['trays'] })
  expect(out.flatMap((task) => (task.kind === 'set-out' ? [task.bottles.map((one) => one.label), task.byS, task.done] : []))).toEqual([
    ['D1', 'F1'],
    64_800 - 1800,
    false,
  ])
  expect(out.flatMap((task) => (task.kind === 'trays' ? [task.light, task.byS, task.done] : []))).toEqual(['red', 68_400 - 1800, true])
  // what no bottle bears is mixed
  const little = { ...house, bottles: full(300) }
  const short = prepOf(three, { house: little, runs: [], asIs: eveningAsIs(three, little, [], 0), ticked: [] })
  expect(short.filter((task) => task.kind === 'mix').map((task) => task.name)).toContain(house.bottles[0]?.shelf.name)
})

test('when the doors are closed it is said what was used, what is left, and what has to be mixed', () => {
  const done = { house, runs: [runOf('l0', { state: 'done' })] }
  const { lines, developed, undeveloped } = closingOf(three, done)
  expect([developed, undeveloped]).toEqual([1, 2])
  expect(lines.map((line) => [line.label, line.usedMl, line.usedRolls, line.leftMl, line.mix])).toEqual([
    ['D1', 150, 0, 5000, false],
    ['F1', expect.any(Number), 1, 5000, false],
  ])
  const worn = house.bottles.map((one) => ({ ...one, shelf: { ...one.shelf, state: { ...one.shelf.state, rollsLeft: 0.5 } } }))
  expect(closingOf(three, { ...done, house: { ...house, bottles: worn } }).lines.map((line) => line.mix)).toEqual([true, true])
})

test('whoever has a place keeps it: who comes later is left out of a bottle that is not enough, and goes into another', () => {
  const [dev, fix] = full(5000) as [EveningHouse['bottles'][0], EveningHouse['bottles'][0]]
  const good = (rollsLeft: number, id: string, label: string) => ({
    ...fix,
    shelf: { ...fix.shelf, id, label, state: { ...fix.shelf.state, rollsLeft } },
  })
  const [versionId] = Object.keys(darkroomEvening.processes) as [string]
  const stands: EveningHouse = {
    ...house,
    processes: [{ id: 'p', versionId, body: darkroomEvening.processes[versionId]! }],
    bottles: [dev, good(1.5, 'f1', 'F1'), good(9, 'f2', 'F2')].map((one) => ({
      ...one,
      shelf: { ...one.shelf, ...one.facts, use: one.formula.use },
    })) as EveningHouse['bottles'],
  }
  const critical = loadNo(3, null)
  const body = evening([loadNo(0), { ...critical, weight: 10, request: { ...critical.request, critical: true } }])
  const { body: made, plan } = rearranged(body, stands, [], { now: 0, seed: 1, rounds: 3 })
  expect(made.loads.map((load) => load.place !== null)).toEqual([true, false])
  expect(plan.left.map((one) => one.load)).toEqual(['l3'])
  const wishes = orders.map((order) => waiting(order.id, { ...order, processId: 'p' } as never))
  const other = rebottled(body.loads[1]!, body, stands, wishes)
  expect(other?.request.baths.find((bath) => bath.role === 'fixer')?.bottleId).toBe('f2')
  const borne = withOtherBottles(body, stands, [], { orders: wishes, now: 0 })
  expect(borne).toEqual({ ...body, loads: [body.loads[0]!, other!] })
  const again = rearranged(borne, stands, [], { now: 0, seed: 1, rounds: 3 })
  expect(again.body.loads.map((load) => load.place !== null)).toEqual([true, true])
})

test('other hours lose nobody who has a place in them', () => {
  const prints = [{ id: 'p', memberId: 'm1', fromAt: opens + 30 * minute, untilAt: opens + 90 * minute }]
  const booked = { house: { ...house, prints }, people: { m1: 'Tilda Rook' } }
  const later = (minutes: number) => asks(evening([]), { ...evening([]), opensAt: opens + minutes * minute }, booked)
  later(30)
  expect(() => later(31)).toThrow('Tilda Rook prints from 18:30 to 19:30, and it would be closed. Move that place or take it back first.')
  // who was outside before stands in the way of nothing
  const outside = { ...booked, house: { ...house, prints: [{ ...prints[0]!, fromAt: opens - minute }] } }
  expect(() => asks(evening([]), { ...evening([]), opensAt: opens + 31 * minute }, outside)).not.toThrow()
})

test('a room has one light at a time: where prints are made nothing is put on reels meanwhile', () => {
  const before = evening([loadNo(0)])
  const after = evening([loadNo(0)])
  const prints = [{ id: 'p', memberId: 'm1', fromAt: opens, untilAt: opens + 30 * minute }]
  expect(() => asks(before, move(after, 'l0', { startAt: opens + 60_000 }), { house: { ...house, prints } })).not.toThrow()
  const [closet, printRoom] = usualRoom.rooms as [RoomBody['rooms'][number], RoomBody['rooms'][number]]
  const inOne = {
    ...{ ...house, prints },
    room: {
      ...house.room,
      rooms: [
        { ...closet, uses: [] },
        { ...printRoom, uses: ['loading', 'printing'] as RoomUse[] },
      ],
    },
  }
  expect(() => asks(before, move(after, 'l0', { startAt: opens + 60_000 }), { house: inOne })).toThrow(
    'Print room has another light until 18:30.',
  )
  // and where film is put on reels nobody prints
  expect(otherLightIn(after, { house: { ...inOne, prints: [] }, runs: [], now: 0 })).toEqual([
    { fromAt: opens, untilAt: opens + 1000 * loadNo(0).loadingS, light: 'dark' },
  ])
  expect(otherLightIn(after, { house, runs: [], now: 0 })).toEqual([])
  expect(() => asks(before, move(after, 'l0', { startAt: opens + 30 * minute }), { house: inOne })).not.toThrow()
})

test('prints are made under the safelight their room has, else under red; what is done in two rooms, or two of one name, are refused', () => {
  const [closet, printRoom] = usualRoom.rooms as [RoomBody['rooms'][number], RoomBody['rooms'][number]]
  const light = (one: RoomBody['rooms'][number]['light']) => printingLight({ rooms: [{ ...printRoom, light: one }] })
  expect([light('amber'), light('white'), light('dark'), printingLight({ rooms: [] })]).toEqual(['amber', 'red', 'red', 'red'])
  const says = (rooms: RoomBody['rooms']) => roomBody.safeParse({ ...usualRoom, rooms }).error?.issues.map((one) => one.message)
  expect(says([closet, { ...printRoom, uses: ['loading'] }])).toEqual(['Say of one room only what is done there: two have the same.'])
  expect(says([closet, { ...printRoom, name: 'Closet' }])).toEqual(['Two rooms have the same name.'])
})
