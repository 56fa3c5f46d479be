import { seeded } from '../chance/seeded'

/* Orders spread over openings. What an opening holds is judged by whoever asks; here only who goes where is decided. */

/** What is to be spread: nothing of it matters here but when it is there, and by when it is wanted; ms. */
export interface ToSpread {
  id: string
  /** an opening takes it only where it closes after that */
  readyAt: number
  /** null where there is no hurry */
  dueAt: number | null
  /** where there is no hurry, an opening before that is sought all the same; nothing else gives way to it */
  soonBy?: number | undefined
  /** of the same kind where they are the same: they are alike to an opening, and may share a tank */
  kind: string
}

export interface SpreadOpening {
  opensAt: number
  closesAt: number
  /** it is held whatever is spread: it counts as used without anything */
  held: boolean
}

/** What an opening makes of what is put into it: null where not all of it finds a place, else those that end after they are wanted. */
export type Judge = (opening: number, ids: string[]) => Set<string> | null

/** Where everything goes: the number of an opening, or null where none has room. */
export type Spread = Map<string, number | null>

/** What a spread is measured by, in this order; fewer is better. */
export interface SpreadCost {
  /** past the time they are wanted by, or without an opening although one is wanted within these weeks */
  past: number
  /** without an opening */
  without: number
  /** openings used that are not held anyway */
  openings: number
  /** numbers of the openings, summed over all that is spread: lower is earlier */
  late: number
}

const inTurn = (cost: SpreadCost): number[] => [cost.past, cost.without, cost.openings, cost.late]
/**
 * Which of two spreads is better: below 0 the first, 0 neither.
 * @example
 * compareSpreads({ past: 0, without: 1, openings: 2, late: 3 }, { past: 1, without: 0, openings: 0, late: 0 }) // → -1
 */
export const compareSpreads = (a: SpreadCost, b: SpreadCost): number => {
  const [mine, other] = [inTurn(a), inTurn(b)]
  return mine.map((one, i) => one - (other[i] as number)).find((one) => one !== 0) ?? 0
}

/** How far a spread is. */
export interface SpreadProgress {
  done: number
  of: number
}

/** The state of a search: who is where, and what was found not to fit as it stands. */
class Search {
  readonly at: Spread = new Map()
  readonly items: Map<string, ToSpread>
  private readonly inside: Set<string>[]
  /** of each opening, those that are late in it */
  private readonly lateIn: Set<string>[]
  /** of each opening, kinds that found no room in it since something last left it; with how many were there */
  private readonly full: Map<string, number>[]

  constructor(
    readonly openings: SpreadOpening[],
    all: ToSpread[],
    private readonly judge: Judge,
  ) {
    this.items = new Map(all.map((one) => [one.id, one]))
    this.inside = openings.map(() => new Set())
    this.lateIn = openings.map(() => new Set())
    this.full = openings.map(() => new Map())
  }

  ids = (opening: number): string[] => [...(this.inside[opening] as Set<string>)]
  isUsed = (opening: number): boolean => (this.openings[opening]?.held ?? false) || (this.inside[opening]?.size ?? 0) > 0
  isLate = (id: string): boolean => {
    const opening = this.at.get(id) ?? null
    return opening === null || (this.lateIn[opening] as Set<string>).has(id)
  }
  /** Openings that could have it before it is wanted, by the hours alone, in their order. */
  candidates = ({ readyAt, dueAt, soonBy }: ToSpread): number[] => {
    const by = dueAt ?? soonBy ?? Infinity
    return this.openings.flatMap(({ opensAt, closesAt }, i) => (readyAt < closesAt && by > opensAt ? [i] : []))
  }
  /** Openings that are over before it is there do not take it. */
  takes = (item: ToSpread): number[] => this.openings.flatMap((one, i) => (item.readyAt < one.closesAt ? [i] : []))

  private set(id: string, opening: number | null, late: Set<string>): void {
    const before = this.at.get(id) ?? null
    if (before !== null) {
      this.inside[before]?.delete(id)
      this.lateIn[before]?.delete(id)
      this.full[before]?.clear()
    }
    this.at.set(id, opening)
    if (opening === null) return
    this.inside[opening]?.add(id)
    this.lateIn[opening] = late
  }

  /** Who would be late there with it; null where it has no room without making somebody late who is not. `lateToo`: itself may be. */
  private lateWith(id: string, opening: number, lateToo: boolean): Set<string> | null {
    const item = this.items.get(id) as ToSpread
    const there = this.inside[opening] as Set<string>
    // what is there when the doors open has room where its like has; when it is wanted matters only where it has
    const room = item.readyAt <= (this.openings[opening]?.opensAt ?? 0) ? item.kind : `${item.kind} ${item.readyAt}`
    const inTime = `${room} ${item.dueAt ?? ''} ${lateToo}`
    const full = this.full[opening] as Map<string, number>
    if (full.get(room) === there.size || full.get(inTime) === there.size) return null
    const late = this.judge(opening, [...there, id])
    const before = this.lateIn[opening] as Set<string>
    if (late !== null && [...late].every((one) => before.has(one) || (lateToo && one === id))) return late
    full.set(late === null ? room : inTime, there.size)
    return null
  }

  /** Puts it there where that makes nobody late who is not; `lateToo`: itself may be. */
  put(id: string, opening: number, lateToo = false): boolean {
    const late = this.lateWith(id, opening, lateToo)
    if (late === null) return false
    this.set(id, opening, late)
    return true
  }

  /** From the opening it is in into another, where that has room. */
  move(id: string, opening: number): boolean {
    const late = this.lateWith(id, opening, false)
    if (late === null || !this.take(id)) return false
    this.set(id, opening, late)
    return true
  }

  /** Takes it out; false, with nothing changed, where the rest would not find its places without it, as may be where they are not sought for long. */
  take(id: string): boolean {
    const opening = this.at.get(id) ?? null
    if (opening === null) return true
    const rest = this.ids(opening).filter((one) => one !== id)
    const late = rest.length === 0 ? new Set<string>() : this.judge(opening, rest)
    if (late === null) return false
    this.set(id, null, new Set())
    this.lateIn[opening] = late
    return true
  }

  cost(): SpreadCost {
    const last = this.openings.at(-1)?.closesAt ?? 0
    const cost: SpreadCost = { past: 0, without: 0, openings: 0, late: 0 }
    for (const [id, opening] of this.at) {
      if (opening !== null) cost.late += opening
      else {
        cost.without++
        if ((this.items.get(id)?.dueAt ?? Infinity) <= last) cost.past++
      }
    }
    this.openings.forEach(({ held }, i) => {
      if (!held && (this.inside[i]?.size ?? 0) > 0) cost.openings++
      cost.past += this.lateIn[i]?.size ?? 0
    })
    return cost
  }

  /** What stands now, to be gone back to. */
  mark = () => ({ at: new Map(this.at), inside: this.inside.map((one) => new Set(one)), late: this.lateIn.map((one) => new Set(one)) })
  back({ at, inside, late }: ReturnType<Search['mark']>): void {
    this.at.clear()
    for (const [id, opening] of at) this.at.set(id, opening)
    inside.forEach((one, i) => {
      // what was learned of as many others says nothing of these
      if ([...one].some((id) => !this.inside[i]?.has(id))) this.full[i]?.clear()
      this.inside[i] = one
    })
    late.forEach((one, i) => (this.lateIn[i] = one))
  }
}

const inTurnBy = (a: number, b: number): number => (a === b ? 0 : a - b)
const byDue = (a: ToSpread, b: ToSpread): number =>
  inTurnBy(a.dueAt ?? Infinity, b.dueAt ?? Infinity) ||
  inTurnBy(a.soonBy ?? Infinity, b.soonBy ?? Infinity) ||
  (a.kind < b.kind ? -1 : a.kind > b.kind ? 1 : 0) ||
  a.readyAt - b.readyAt ||
  (a.id < b.id ? -1 : 1)

/** Openings that are used before those that are not, each in their order. */
const usedFirst = (search: Search, openings: number[]): number[] => [
  ...openings.filter((one) => search.isUsed(one)),
  ...openings.filter((one) => !search.isUsed(one)),
]

/** Somebody who is in no hurry makes room for one who is: moved to another opening in which nobody becomes late. */
function makeRoom(search: Search, item: ToSpread): boolean {
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
function empty(search: Search, opening: number): boolean {
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
function another(search: Search, random: () => number): void {
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
function* inOrderOfDates(search: Search, all: ToSpread[]): Generator<void> {
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
function* fewerOpenings(search: Search): Generator<void> {
  const used = search.openings.flatMap(({ held }, i) => (!held && search.ids(i).length > 0 ? [i] : []))
  for (const opening of used.sort((a, b) => search.ids(a).length - search.ids(b).length || b - a)) {
    if (search.ids(opening).length > 0) empty(search, opening)
    yield
  }
}

/** What can be earlier in an opening that is used goes there. */
function* sooner(search: Search): Generator<void> {
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
  const search = new Search(openings, all, judge)
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
