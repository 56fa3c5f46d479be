import { seeded } from '../chance/seeded'
import { spreadOrders } from './spread'
import { compareSpreads, type Judge, type Spread, type SpreadCost, type SpreadOpening, type ToSpread } from './spreadState'

const hour = 3_600_000
/** Openings of four hours, a day apart. */
const openingsOf = (count: number, held: number[] = []): SpreadOpening[] =>
  Array.from({ length: count }, (_, i) => ({ opensAt: 24 * i * hour, closesAt: (24 * i + 4) * hour, held: held.includes(i) }))

/** What takes so long in an opening of so much, one after the other in the order of dates: what ends too late is late. */
const judgeOf =
  (openings: SpreadOpening[], items: ToSpread[], sizes: Record<string, number>, room: number): Judge =>
  (opening, ids) => {
    const mine = ids
      .map((id) => items.find((one) => one.id === id)!)
      .sort((a, b) => (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity) || (a.id < b.id ? -1 : 1))
    let used = 0
    const late = new Set<string>()
    for (const { id, dueAt } of mine) {
      used += sizes[id]!
      if (dueAt !== null && openings[opening]!.opensAt + (4 * hour * used) / room > dueAt) late.add(id)
    }
    return used > room ? null : late
  }

function run(
  openings: SpreadOpening[],
  items: ToSpread[],
  judge: Judge,
  rounds = 200,
): { spread: Spread; cost: SpreadCost; steps: number } {
  const search = spreadOrders(openings, items, judge, { seed: 1, rounds })
  for (let steps = 0; ; steps++) {
    const next = search.next()
    if (next.done) return { ...next.value, steps }
  }
}

/** What a spread comes to, reckoned by itself. */
function costOf(openings: SpreadOpening[], items: ToSpread[], spread: Spread, judge: Judge): SpreadCost {
  const idsIn = (opening: number | null): string[] => items.flatMap(({ id }) => (spread.get(id) === opening ? [id] : []))
  const last = openings.at(-1)!.closesAt
  const without = idsIn(null)
  return {
    past:
      without.filter((id) => (items.find((one) => one.id === id)!.dueAt ?? Infinity) <= last).length +
      openings.reduce((sum, _, i) => sum + judge(i, idsIn(i))!.size, 0),
    without: without.length,
    openings: openings.filter(({ held }, i) => !held && idsIn(i).length > 0).length,
    late: openings.reduce((sum, _, i) => sum + i * idsIn(i).length, 0),
  }
}

/** The best there is, by trying everything. */
function best(openings: SpreadOpening[], items: ToSpread[], judge: Judge): SpreadCost {
  let found: SpreadCost | null = null
  const spread: Spread = new Map()
  const go = (at: number): void => {
    const item = items[at]
    if (!item) {
      if (
        openings.some(
          (_, i) =>
            judge(
              i,
              items.flatMap(({ id }) => (spread.get(id) === i ? [id] : [])),
            ) === null,
        )
      )
        return
      const cost = costOf(openings, items, spread, judge)
      if (!found || compareSpreads(cost, found) < 0) found = cost
      return
    }
    for (const opening of [...openings.keys(), null]) {
      if (opening !== null && item.readyAt >= openings[opening]!.closesAt) continue
      spread.set(item.id, opening)
      go(at + 1)
    }
    spread.delete(item.id)
  }
  go(0)
  return found!
}

/** A few orders of different sizes, some with dates, some not there yet. */
function drawn(seed: number, openings: SpreadOpening[], count: number) {
  const random = seeded(seed)
  const upTo = (most: number): number => Math.floor(random() * most)
  const sizes: Record<string, number> = {}
  const items = Array.from({ length: count }, (_, i): ToSpread => {
    const id = `o${i}`
    sizes[id] = 1 + upTo(3)
    const due = openings[upTo(openings.length)]!
    return {
      id,
      kind: String(sizes[id]),
      readyAt: upTo(4) === 0 ? 20 * hour : 0,
      dueAt: upTo(2) === 0 ? due.closesAt - upTo(3) * hour : null,
    }
  })
  return { items, judge: judgeOf(openings, items, sizes, 4) }
}

test('of 120 small weeks every one is spread as well as it can be', () => {
  const openings = openingsOf(3, [1])
  for (let seed = 1; seed <= 120; seed++) {
    const { items, judge } = drawn(seed, openings, 5)
    const { spread, cost } = run(openings, items, judge)
    expect([seed, cost]).toEqual([seed, costOf(openings, items, spread, judge)])
    expect([seed, compareSpreads(cost, best(openings, items, judge))]).toEqual([seed, 0])
  }
}, 30_000)

test('changes by chance make nothing worse, and the same seed the same spread', () => {
  const openings = openingsOf(6, [2])
  for (let seed = 1; seed <= 20; seed++) {
    const { items, judge } = drawn(seed, openings, 14)
    const [none, some, again] = [0, 60, 60].map((rounds) => run(openings, items, judge, rounds))
    expect(compareSpreads(some!.cost, none!.cost)).toBeLessThanOrEqual(0)
    expect([...again!.spread]).toEqual([...some!.spread])
  }
})

test('what there is no room for before its date comes as soon as there is; what comes after the last opening waits', () => {
  const openings = openingsOf(2)
  const all = ['a', 'b', 'c', 'd'].map((id): ToSpread => ({
    id,
    kind: '',
    readyAt: id === 'd' ? 100 * hour : 0,
    dueAt: id === 'd' ? null : 4 * hour,
  }))
  const { spread, cost } = run(openings, all, judgeOf(openings, all, { a: 2, b: 2, c: 2, d: 1 }, 4))
  expect([...spread.values()].map((one) => one ?? '-').sort()).toEqual(['-', 0, 0, 1])
  expect([spread.get('d'), cost]).toEqual([null, { past: 1, without: 1, openings: 2, late: 1 }])
})
