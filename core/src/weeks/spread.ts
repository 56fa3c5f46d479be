import { seeded } from '../chance/seeded'
import { compareSpreads, SpreadState, type Judge, type Spread, type SpreadCost, type SpreadOpening, type ToSpread } from './spreadState'

/** How far a spread is. */
export interface SpreadProgress {
  done: number
  of: number
}

const inTurnBy = (a: number, b: number): number => (a === b ? 0 : a - b)
const byDue = (a: ToSpread, b: ToSpread): number =>
  inTurnBy(a.dueAt ?? Infinity, b.dueAt ?? Infinity) ||
  inTurnBy(a.soonBy ?? Infinity, b.soonBy ?? Infinity) ||
  (a.kind < b.kind ? -1 : a.kind > b.kind ? 1 : 0) ||
  a.readyAt - b.readyAt ||
  (a.id < b.id ? -1 : 1)

/** Openings that are used before those that are not, each in their order. */
const usedFirst = (search: SpreadState, openings: number[]): number[] => [
  ...openings.filter((one) => search.isUsed(one)),
  ...openings.filter((one) => !search.isUsed(one)),
]

/** Somebody who is in no hurry makes room for one who is: moved to another opening in which nobody becomes late. */
function makeRoom(search: SpreadState, item: ToSpread): boolean {
  if (item.dueAt === null) return false
  for (const opening of search.candidates(item)) {
    const others = search
      .ids(opening)
      .map((id) => search.items.get(id) as ToSpread)
      .filter((one) => (one.dueAt ?? Infinity) > (item.dueAt ?? Infinity))
      .sort((a, b) => byDue(b, a))
    for (const other of others.slice(0, mostMoved)) {
      const mark = search.mark()
      if (!search.take(other.id)) continue
      const elsewhere = (): boolean =>
        usedFirst(
          search,
          search.candidates(other).filter((one) => one !== opening),
        ).some((one) => search.put(other.id, one))
      if (search.put(item.id, opening) && elsewhere()) return true
      search.back(mark)
    }
  }
  return false
}
/** of an opening, so many are tried to be moved */
const mostMoved = 6

/** Everything in an opening goes to others that are used; nothing is changed where it cannot. */
function empty(search: SpreadState, opening: number): boolean {
  const mark = search.mark()
  const ids = search.ids(opening)
  if (!ids.every((id) => search.take(id))) {
    search.back(mark)
    return false
  }
  const item = (id: string): ToSpread => search.items.get(id) as ToSpread
  const moved = ids
    .map(item)
    .sort(byDue)
    .every((one) => search.candidates(one).some((other) => other !== opening && search.isUsed(other) && search.put(one.id, other)))
  if (!moved) search.back(mark)
  return moved
}

const shuffled = <T>(all: T[], random: () => number): T[] => {
  const list = [...all]
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[list[i], list[j]] = [list[j] as T, list[i] as T]
  }
  return list
}
/** so many are taken out at once, to be put in anew */
const mostTaken = 8

/** Some are taken out of two openings, with what is late or has none, and put in anew in another order: kept where it is no worse. */
function another(search: SpreadState, random: () => number): void {
  const before = search.cost()
  const mark = search.mark()
  const used = shuffled(
    [...search.openings.keys()].filter((one) => search.ids(one).length > 0),
    random,
  ).slice(0, 2)
  const some = used.flatMap((opening) => shuffled(search.ids(opening), random).slice(0, mostTaken / 2))
  const late = shuffled(
    [...search.at.keys()].filter((id) => search.isLate(id)),
    random,
  ).slice(0, mostTaken / 2)
  const out = shuffled([...new Set([...some, ...late])], random)
  const items = out.filter((id) => search.take(id)).map((id) => search.items.get(id) as ToSpread)
  if (random() < 0.5) items.sort(byDue)
  const anywhere = random() < 0.5
  for (const item of items) {
    const openings = search.candidates(item)
    const tried = anywhere ? shuffled(openings, random) : usedFirst(search, openings)
    if (tried.some((one) => search.put(item.id, one))) continue
    search.at.set(item.id, null)
    search.takes(item).some((one) => search.put(item.id, one, true))
  }
  if (compareSpreads(search.cost(), before) > 0) search.back(mark)
}

/** One after the other in the order of dates, in openings that are used already where they have room; then what is late as soon as there is room. */
function* inOrderOfDates(search: SpreadState, all: ToSpread[]): Generator<void> {
  const late: ToSpread[] = []
  for (const item of [...all].sort(byDue)) {
    search.at.set(item.id, null)
    if (!usedFirst(search, search.candidates(item)).some((opening) => search.put(item.id, opening)) && !makeRoom(search, item))
      late.push(item)
    yield
  }
  for (const item of late) search.takes(item).some((opening) => search.put(item.id, opening, true))
}

/** The least filled openings are emptied into others, where they can be. */
function* fewerOpenings(search: SpreadState): Generator<void> {
  const used = search.openings.flatMap(({ held }, i) => (!held && search.ids(i).length > 0 ? [i] : []))
  for (const opening of used.sort((a, b) => search.ids(a).length - search.ids(b).length || b - a)) {
    if (search.ids(opening).length > 0) empty(search, opening)
    yield
  }
}

/** What can be earlier in an opening that is used goes there. */
function* sooner(search: SpreadState): Generator<void> {
  for (const opening of search.openings.keys()) {
    for (const id of search.ids(opening)) {
      const before = search.candidates(search.items.get(id) as ToSpread).filter((one) => one < opening && search.isUsed(one))
      if (search.isLate(id) || before.length === 0) continue
      before.some((one) => search.move(id, one))
    }
    yield
  }
}

/**
 * Spreads orders over openings so that as few as can be found are past their date, then so that few openings are used, then early: in the order of dates first, making room for what is late,
 * emptying openings into others, moving forward what can be; then `rounds` of changes by chance, the same for the same `seed`, none of which makes it worse, until `ended` says so. Yields how far it is.
 * @example
 * [...spreadOrders([{ opensAt: 0, closesAt: 10, held: false }], [{ id: 'a', readyAt: 0, dueAt: null, kind: '' }], () => new Set(), { seed: 1, rounds: 2 })].at(-1) // → { done: 5, of: 5 }
 */
export function* spreadOrders(
  openings: SpreadOpening[],
  all: ToSpread[],
  judge: Judge,
  { seed, rounds, ended = () => false }: { seed: number; rounds: number; ended?: () => boolean },
): Generator<SpreadProgress, { spread: Spread; cost: SpreadCost }> {
  const search = new SpreadState(openings, all, judge)
  const of = all.length + 2 * openings.length + rounds
  let done = 0
  for (const _ of inOrderOfDates(search, all)) yield { done: ++done, of }
  for (const part of [fewerOpenings(search), sooner(search)])
    for (const _ of part) {
      if (ended()) break
      yield { done: ++done, of }
    }
  done = of - rounds
  const random = seeded(seed)
  for (let round = 0; round < rounds && !ended(); round++) {
    another(search, random)
    yield { done: ++done, of }
  }
  if (rounds > 0) for (const _ of sooner(search)) if (ended()) break
  return { spread: search.at, cost: search.cost() }
}
