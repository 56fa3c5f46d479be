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

/** The state of a search: who is where, and what was found not to fit as it stands. */
export class SpreadState {
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
  back({ at, inside, late }: ReturnType<SpreadState['mark']>): void {
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
