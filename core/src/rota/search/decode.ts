import { laterBy, placeIn, type PlacedStay } from './baths'
import { fit, mark, unmark } from './busy'
import type { Load, Shape } from './shape'

/** What the search changes: in which order loads are placed, by whom each is led, in which bath it stands, what is held back, and when its later parts are placed. */
export interface Candidate {
  /** loads; breaks by their numbers after all loads */
  order: number[]
  person: number[]
  /** -1: whichever is ready first */
  bath: number[]
  /** s a load is held back beyond its earliest start */
  delay: number[]
  /** after how many more loads of its person what follows the bath is placed: 0 with it */
  lazy: number[]
}

/** A load that is fixed. */
export interface Fixed {
  load: number
  starts: number[]
  vessel: number
  person: number
  bath: number
}

export interface Cost {
  unplaced: number
  lateS: number
  endS: number
  /** the three in their order, and then how early all of it ends: smaller is better */
  all: number
}

const open = 0x3fffffff
/** later starts that are tried for a load before what is still to be placed goes first */
const startsTried = 3

interface Found {
  at: number
  starts: number[]
  bath: number
  vessel: number
  limit: number
}

/** Turns a candidate into a plan: every part at its earliest second. One decoder holds one plan. */
export class Decoder {
  readonly width: number
  readonly words: Int32Array
  /** by load: parts placed, -1 where it has no place; vessel, person, bath; end of what is placed; the latest its vessel lets it end */
  readonly placed: Int32Array
  readonly vesselOf: Int32Array
  readonly personOf: Int32Array
  readonly bathOf: Int32Array
  readonly endOf: Int32Array
  readonly limitOf: Int32Array
  /** starts of all blocks, by `first` of their load */
  readonly starts: Int32Array
  readonly first: Int32Array
  /** all of the above as one, so that it can be kept and taken up again */
  readonly state: Int32Array
  private readonly away: Int32Array
  private readonly trial: Int32Array
  private readonly least: Int32Array
  /** loads of each person whose later parts are still to be placed, and after how many more: [count, load, after, load, after, …] a person */
  private readonly pending: Int32Array
  /** when each break begins, -1 where it has not been placed */
  private readonly breakAt: Int32Array
  /** what is placed later takes places that others take too: whoever is placed is held against all of it */
  private readonly shared: boolean
  private readonly saved: Int32Array
  /** what was marked since a moment that may be gone back to: [offset, from, to, …] */
  private marks: number[] = []

  constructor(
    readonly shape: Shape,
    readonly fixed: Fixed[] = [],
  ) {
    const { loads, people, horizonS } = shape
    const count = loads.length
    this.width = (horizonS >>> 5) + 8
    this.away = new Int32Array(people * this.width)
    shape.away.forEach((spans, person) => {
      for (let i = 0; i < spans.length; i += 2) mark(this.away, person * this.width, spans[i] as number, spans[i + 1] as number)
    })
    this.first = new Int32Array(count + 1)
    loads.forEach((load, i) => (this.first[i + 1] = (this.first[i] as number) + load.blocks.length))
    const blocks = this.first[count] as number
    const pendingSize = people * (1 + 2 * count)
    this.state = new Int32Array(people * this.width + 6 * count + blocks + pendingSize + shape.breaks.length)
    let at = 0
    const part = (length: number): Int32Array => this.state.subarray(at, (at += length))
    this.words = part(people * this.width)
    this.placed = part(count)
    this.vesselOf = part(count)
    this.personOf = part(count)
    this.bathOf = part(count)
    this.endOf = part(count)
    this.limitOf = part(count)
    this.starts = part(blocks)
    this.pending = part(pendingSize)
    this.breakAt = part(shape.breaks.length)
    this.saved = new Int32Array(this.state.length)
    this.shared = loads.some((load) => load.blocks.some((block, j) => j >= load.main && block.uses.length > 0))
    const most = Math.max(1, ...loads.map((load) => load.blocks.length))
    this.trial = new Int32Array(most)
    this.least = new Int32Array(most + 1)
  }

  /**
   * Places all of it, a break that found no room before all loads. From `since` on, where what stands before is there already; `each` is told before every one of the order.
   */
  decode(candidate: Candidate, since = 0, each: (at: number) => void = () => undefined): Cost {
    let from = since
    for (let tries = this.shape.breaks.length ** 2; tries >= 0; tries--) {
      const failed = this.pass(candidate, from, each)
      if (failed < 0) break
      candidate.order = [failed, ...candidate.order.filter((token) => token !== failed)]
      from = 0
    }
    return this.cost()
  }

  /** Nothing is placed but what is fixed. */
  begin(): void {
    this.words.set(this.away)
    this.placed.fill(0)
    this.limitOf.fill(this.shape.endsS)
    this.pending.fill(0)
    this.breakAt.fill(-1)
    this.marks.length = 0
    for (const one of this.fixed) this.place(one)
  }

  /** Whether a load could stand like that beside what is placed. */
  couldBe({ load: l, starts, vessel, person, bath }: Fixed): boolean {
    const load = this.shape.loads[l] as Load
    const end = (starts.at(-1) as number) + (load.restS[starts.length - 1] as number)
    if (end > this.shape.endsS || !load.vessels.includes(vessel)) return false
    if (load.stays.length === 0 ? bath >= 0 : bath < 0) return false
    this.trial.set(starts)
    const free = load.blocks.every((block, j) => {
      const at = starts[j] as number
      return fit(this.words, person * this.width, block.hands, at, at) === at
    })
    if (!free || this.vesselAt({ ...load, vessels: [vessel] }, starts[0] as number, end).id !== vessel) return false
    if (this.resourceLater(load, 0, starts.length, (i) => starts[i] as number) > 0) return false
    return bath < 0 || this.bathLater(load, bath) === 0
  }

  /** Whether the breaks of everybody still have room, in some order. */
  breaksFit(): boolean {
    const room = (words: Int32Array, left: Shape['breaks'], since: number): boolean =>
      left.length === 0 ||
      left.some((one, i) => {
        const at = fit(words, 0, Int32Array.of(0, one.s), Math.max(0, one.earliestS, since), one.latestS)
        return at >= 0 && room(words, left.toSpliced(i, 1), at + one.s)
      })
    return this.shape.away.every((_, person) =>
      room(
        this.inHand(person),
        this.shape.breaks.filter((one) => one.person === person && one.s > 0),
        0,
      ),
    )
  }

  /** Places one after the other; answers a break that has no room, or -1. */
  private pass(candidate: Candidate, since: number, each: (at: number) => void): number {
    const { loads, people } = this.shape
    if (since === 0) this.begin()
    const { order } = candidate
    for (let i = since; i < order.length; i++) {
      each(i)
      const token = order[i] as number
      if (token < loads.length) this.put(token, candidate)
      else if (!this.rests(token - loads.length) && order[0] !== token) return token
    }
    for (let person = 0; person < people; person++) this.close(person, Infinity)
    return -1
  }

  /** What was marked stays. */
  marksDone(): void {
    this.marks.length = 0
  }

  /** What a person has in hand and which breaks they have, whether they are there or not: a break may reach beyond somebody’s duty. */
  private inHand(person: number): Int32Array {
    const from = person * this.width
    const words = this.words.slice(from, from + this.width)
    for (let i = 0; i < words.length; i++) words[i] = (words[i] as number) & ~(this.away[from + i] as number)
    this.shape.breaks.forEach((one, i) => {
      const at = this.breakAt[i] as number
      if (one.person === person && at >= 0) mark(words, 0, at, at + one.s)
    })
    return words
  }

  /** A break at its earliest, beside what is still to be placed, or after it. */
  private rests(index: number): boolean {
    const { person, s, earliestS, latestS } = this.shape.breaks[index] as Shape['breaks'][number]
    if (s === 0) return true
    const offset = person * this.width
    const place = (): boolean => {
      const at = fit(this.inHand(person), 0, Int32Array.of(0, s), Math.max(0, earliestS), latestS)
      if (at < 0) return false
      const before = this.words.slice(offset, offset + this.width)
      mark(this.words, offset, at, at + s)
      this.breakAt[index] = at
      if (this.close(person, -Infinity) && this.together()) return true
      this.words.set(before, offset)
      this.breakAt[index] = -1
      return false
    }
    if (place()) return true
    const before = this.shared ? this.state.slice() : null
    if (this.close(person, Infinity) && this.together() && place()) return true
    if (before) this.state.set(before)
    return false
  }

  /** Whether all that is still to be placed, of everybody, has room together: where places are shared a load of one may take those of another’s. */
  private together(): boolean {
    if (!this.shared) return true
    const before = this.state.slice()
    let good = true
    for (let person = 0; person < this.shape.people && good; person++) good = this.close(person, Infinity)
    this.state.set(before)
    return good
  }

  private slot(person: number): number {
    return person * (1 + 2 * this.shape.loads.length)
  }

  /** Where a load would begin that is placed next, by that person; null where it has no place. */
  peek(token: number, person: number, wanted: number, from = 0): number | null {
    const load = this.shape.loads[token] as Load
    return this.find(load, { person, parts: load.main, wanted, from: Math.max(load.readyS, from) })?.at ?? null
  }

  /** A load at its earliest, so that what of others is still to be placed has room beside it; or after that, where there is no such start soon. */
  put(token: number, candidate: Candidate, notBefore = 0): void {
    const load = this.shape.loads[token] as Load
    const person = candidate.person[token] as number
    const lazy = candidate.lazy[token] as number
    const parts = lazy === 0 ? load.blocks.length : load.main
    const { pending } = this
    const slot = this.slot(person)
    const waiting = pending[slot] as number
    for (let i = 0; i < waiting; i++) pending[slot + 2 + 2 * i] = (pending[slot + 2 + 2 * i] as number) - 1
    const wanted = candidate.bath[token] as number
    const earliest = Math.max(load.readyS, notBefore)
    let from = earliest
    let held = candidate.delay[token] as number
    for (let tries = waiting === 0 && parts === load.blocks.length ? 1 : startsTried; tries > 0; tries--) {
      let found = this.find(load, { person, parts, wanted, from })
      if (found && held > 0) found = this.find(load, { person, parts, wanted, from: found.at + held }) ?? found
      held = 0
      if (!found) break
      const there = pending[slot] as number
      if (this.shared) this.saved.set(this.state)
      this.commitAll(token, found, person)
      if (parts < load.blocks.length) {
        pending[slot] = there + 1
        pending[slot + 1 + 2 * there] = token
        pending[slot + 2 + 2 * there] = lazy
      }
      if (this.close(person, 0)) {
        if (this.together()) return
        this.state.set(this.saved)
        from = found.at + 1
        continue
      }
      pending[slot] = there
      this.back(0)
      this.placed[token] = 0
      from = found.at + 1
    }
    // what is still to be placed goes first
    if (this.shared) this.saved.set(this.state)
    if (this.close(person, Infinity) && this.together()) {
      if (this.shared) this.saved.set(this.state)
      const found = this.find(load, { person, parts: load.blocks.length, wanted, from: earliest })
      if (found) {
        this.commitAll(token, found, person)
        this.marks.length = 0
        if (this.together()) return
      }
    }
    if (this.shared) this.state.set(this.saved)
    this.marks.length = 0
    this.placed[token] = -1
  }

  /**
   * Places what is still to be placed of a person’s loads, one after another; what waits for more than `due` others is only tried, and taken up again. Where one finds no room
   * nothing is changed.
   */
  private close(person: number, due: number, upTo = -1): boolean {
    const { pending, placed, endOf, first, shape } = this
    const slot = this.slot(person)
    const count = pending[slot] as number
    const since = this.marks.length
    let last = upTo
    let good = true
    let done = 0
    for (; done < count && good; done++) {
      if ((pending[slot + 2 + 2 * done] as number) <= due) last = Math.max(last, done)
      good = this.rest(pending[slot + 1 + 2 * done] as number)
    }
    // as they were: of each what was placed at once
    const undo = (): void => {
      this.back(since)
      for (let i = 0; i < done; i++) {
        const load = pending[slot + 1 + 2 * i] as number
        const { main, blocks } = shape.loads[load] as Load
        placed[load] = main
        endOf[load] = (this.starts[(first[load] as number) + main - 1] as number) + (blocks[main - 1] as Load['blocks'][number]).durationS
      }
    }
    if (!good) {
      undo()
      return false
    }
    if (last + 1 < count) {
      undo()
      // in their order: what is due takes those before it along
      for (let i = 0; i <= last; i++) this.rest(pending[slot + 1 + 2 * i] as number)
      pending.copyWithin(slot + 1, slot + 1 + 2 * (last + 1), slot + 1 + 2 * count)
    }
    pending[slot] = count - last - 1
    this.marks.length = 0
    return true
  }

  /** All that is left of a load, each part at its least start in its window. */
  private rest(token: number): boolean {
    const load = this.shape.loads[token] as Load
    const from = this.placed[token] as number
    const person = this.personOf[token] as number
    if (!this.windows(token, load, from)) return false
    for (let j = from; j < load.blocks.length; j++) this.commit(token, j, this.trial[j] as number, person)
    this.placed[token] = load.blocks.length
    return true
  }

  private commitAll(token: number, found: Found, person: number): void {
    found.starts.forEach((at, i) => this.commit(token, i, at, person))
    this.vesselOf[token] = found.vessel
    this.bathOf[token] = found.bath
    this.limitOf[token] = found.limit
    this.placed[token] = found.starts.length
  }

  /** Takes back what was marked since. */
  private back(since: number): void {
    const { marks } = this
    for (let i = since; i < marks.length; i += 3) unmark(this.words, marks[i] as number, marks[i + 1] as number, marks[i + 2] as number)
    marks.length = since
  }

  /** What is fixed is placed as it is. */
  place({ load, starts, vessel, person, bath }: Fixed): void {
    const { blocks } = this.shape.loads[load] as Load
    starts.forEach((at, i) => this.commit(load, i, at, person))
    this.vesselOf[load] = vessel
    this.bathOf[load] = bath
    this.placed[load] = blocks.length
  }

  private commit(load: number, block: number, at: number, person: number): void {
    const { hands, durationS } = (this.shape.loads[load] as Load).blocks[block] as Load['blocks'][number]
    this.starts[(this.first[load] as number) + block] = at
    const offset = person * this.width
    for (let i = 0; i < hands.length; i += 2) {
      mark(this.words, offset, at + (hands[i] as number), at + (hands[i + 1] as number))
      this.marks.push(offset, at + (hands[i] as number), at + (hands[i + 1] as number))
    }
    this.personOf[load] = person
    this.endOf[load] = at + durationS
  }

  /** The earliest start of a load’s first parts, in the bath that is wanted or whichever is ready first; null where it has none. */
  private find(load: Load, { wanted, ...asked }: { person: number; parts: number; wanted: number; from: number }): Found | null {
    if (load.stays.length === 0 || wanted >= 0) return this.earliest(load, { ...asked, bath: load.stays.length === 0 ? -1 : wanted })
    let best: Found | null = null
    for (let bath = 0; bath < this.shape.baths.length; bath++) {
      const found = this.earliest(load, { ...asked, bath })
      if (found && (!best || found.at < best.at)) best = found
    }
    return best
  }

  private earliest(load: Load, { person, parts, bath, from }: { person: number; parts: number; bath: number; from: number }): Found | null {
    const latest = this.shape.endsS - load.wholeS
    let at = from
    while (at <= latest) {
      at = this.chain(load, person, parts, at)
      if (at < 0) return null
      const start = this.trial[0] as number
      const uses = this.resourceLater(load, 0, parts, (i) => this.trial[i] as number)
      const later = Math.max(uses, bath < 0 ? 0 : this.bathLater(load, bath))
      if (later > 0) {
        at = start + later
        continue
      }
      const vessel = this.vesselAt(load, start, (this.trial[parts - 1] as number) + (load.restS[parts - 1] as number))
      if (vessel.id >= 0) {
        const starts = Array.from(this.trial.subarray(0, parts))
        return { at: start, starts, bath, vessel: vessel.id, limit: vessel.limit }
      }
      if (vessel.closes >= 0) {
        // it has to be known when that vessel is free again
        const by = this.personOf[vessel.closes] as number
        const slot = this.slot(by)
        let upTo = 0
        while (this.pending[slot + 1 + 2 * upTo] !== vessel.closes) upTo++
        if (this.marks.length > 0) return null
        const before = this.shared ? this.state.slice() : null
        if (!this.close(by, -Infinity, upTo)) return null
        if (!this.together()) {
          if (before) this.state.set(before)
          return null
        }
        at = start
        continue
      }
      if (vessel.later === Infinity) return null
      at = vessel.later
    }
    return null
  }

  /** Least starts of the first parts from `from` on, hands and waits alone, into `trial`; answers the first, or -1. */
  private chain(load: Load, person: number, parts: number, from: number): number {
    const offset = person * this.width
    const { least, trial } = this
    least[0] = from
    for (let j = 1; j < parts; j++) least[j] = 0
    for (let j = 0; j < parts;) {
      const block = load.blocks[j] as Load['blocks'][number]
      const latest = this.shape.endsS - (load.restS[j] as number)
      const at = fit(this.words, offset, block.hands, least[j] as number, latest)
      if (at < 0) return -1
      const before = load.blocks[j - 1]
      if (j > 0 && before && at > (trial[j - 1] as number) + before.durationS + block.maxWaitS) {
        // the one before has to come later for it
        least[j] = at
        least[j - 1] = at - block.maxWaitS - before.durationS
        j--
        continue
      }
      trial[j] = at
      j++
      if (j < parts) least[j] = Math.max(least[j] as number, at + block.durationS)
    }
    return trial[0] as number
  }

  /** Least starts of what is left of a load, each in its window after the one before; what is placed of it stays. Into `trial`. */
  private windows(token: number, load: Load, from: number): boolean {
    const offset = (this.personOf[token] as number) * this.width
    const limit = Math.min(this.limitOf[token] as number, this.shape.endsS)
    const { least, trial } = this
    const end = this.endOf[token] as number
    for (let j = from; j < load.blocks.length; j++) least[j] = end
    for (let j = from; j < load.blocks.length;) {
      const block = load.blocks[j] as Load['blocks'][number]
      const since = j === from ? end : (trial[j - 1] as number) + (load.blocks[j - 1] as Load['blocks'][number]).durationS
      const latest = Math.min(limit - (load.restS[j] as number), j === from ? since + block.maxWaitS : open)
      const at = fit(this.words, offset, block.hands, Math.max(least[j] as number, since), latest)
      if (at < 0) return false
      const later = this.resourceLater(load, j, j + 1, () => at)
      if (later > 0) {
        if (!(at + later <= latest)) return false
        least[j] = at + later
        continue
      }
      if (j > from && at > since + block.maxWaitS) {
        // the one before has to come later for it
        least[j] = at
        j--
        least[j] = at - (load.blocks[j + 1] as Load['blocks'][number]).maxWaitS - (load.blocks[j] as Load['blocks'][number]).durationS
        continue
      }
      trial[j] = at
      j++
    }
    return true
  }

  /** By how much parts from..to have to come later for their resources. */
  private resourceLater(load: Load, from: number, to: number, startOf: (part: number) => number): number {
    let later = 0
    for (let j = from; j < to; j++) {
      const { uses } = load.blocks[j] as Load['blocks'][number]
      for (let i = 0; i < uses.length; i += 3) {
        const resource = uses[i] as number
        const at = startOf(j)
        later = Math.max(
          later,
          placeIn(this.shape.places[resource] as number, this.taken(resource), at + (uses[i + 1] as number), at + (uses[i + 2] as number)),
        )
      }
    }
    return later
  }

  private taken(resource: number): { fromS: number; toS: number }[] {
    const spans: { fromS: number; toS: number }[] = []
    this.shape.loads.forEach((load, l) => {
      for (let j = 0; j < (this.placed[l] as number); j++) {
        const { uses } = load.blocks[j] as Load['blocks'][number]
        const at = this.starts[(this.first[l] as number) + j] as number
        for (let i = 0; i < uses.length; i += 3)
          if (uses[i] === resource) spans.push({ fromS: at + (uses[i + 1] as number), toS: at + (uses[i + 2] as number) })
      }
    })
    return spans
  }

  /** By how much the load in `trial` has to come later for that bath. */
  private bathLater(load: Load, bath: number): number {
    const { loads, baths, opensS } = this.shape
    const one = baths[bath] as Shape['baths'][number]
    if (this.suits(load, one, bath)) return 0
    const stays = staysAt(load, (j) => this.trial[j] as number)
    const there: PlacedStay[] = []
    const whole: { fromS: number; toS: number }[] = []
    for (let l = 0; l < loads.length; l++) {
      if ((this.placed[l] as number) <= 0 || this.bathOf[l] !== bath) continue
      const theirs = staysAt(loads[l] as Load, (j) => this.starts[(this.first[l] as number) + j] as number)
      there.push(...theirs)
      whole.push({ fromS: (theirs[0] as PlacedStay).fromS, toS: (theirs.at(-1) as PlacedStay).toS })
    }
    const [from, to] = [(stays[0] as PlacedStay).fromS, (stays.at(-1) as PlacedStay).toS]
    const places = placeIn(one.places, whole, from, to)
    if (places > 0) return places
    return Math.max(0, laterBy(one, opensS, there, stays))
  }

  /** Whether a bath can stay what it is for all that is in it, the load in `trial` too, with a place to spare: what is true of most. */
  private suits(load: Load, { start, heat, cool, places }: Shape['baths'][number], bath: number): boolean {
    const { loads, opensS } = this.shape
    const [own] = load.stays as [Load['stays'][number]]
    if (load.stays.length > 1) return false
    let { low, high } = own
    const from = (this.trial[own.fromBlock] as number) + own.fromS
    const to = (this.trial[own.toBlock] as number) + own.toS
    let first = from
    let beside = 0
    for (let l = 0; l < loads.length; l++) {
      if (this.bathOf[l] !== bath || (this.placed[l] as number) <= 0) continue
      const { stays } = loads[l] as Load
      const [other] = stays as [Load['stays'][number]]
      if (stays.length > 1) return false
      if (other.low > low) low = other.low
      if (other.high < high) high = other.high
      if (low > high) return false
      const at = this.first[l] as number
      const begins = (this.starts[at + other.fromBlock] as number) + other.fromS
      const ends = (this.starts[at + other.toBlock] as number) + other.toS
      if (begins < first) first = begins
      if (begins < to && ends > from && ++beside >= places) return false
    }
    if (places === 0) return false
    const gap = first > opensS ? first - opensS : 0
    return 60 * (low - start) <= heat * gap && 60 * (start - high) <= cool * gap
  }

  /** A vessel for [at, until), the smallest that takes it; else when the next may be free, or whose end has to be known first. */
  private vesselAt(load: Load, at: number, until: number): { id: number; limit: number; later: number; closes: number } {
    const { loads, resetS } = this.shape
    let later = Infinity
    let closes = -1
    for (const id of load.vessels) {
      const reset = resetS[id] as number
      let blocked = 0
      let by = -1
      let next = open
      let nextEnd = 0
      for (let l = 0; l < loads.length; l++) {
        const done = this.placed[l] as number
        if (done <= 0 || this.vesselOf[l] !== id) continue
        const other = loads[l] as Load
        const start = this.starts[this.first[l] as number] as number
        const known = done === other.blocks.length
        const end = (this.endOf[l] as number) + (known ? 0 : (other.restS[done] as number)) + reset
        if (start <= at) {
          if (end > at || !known) {
            if (end > blocked || (!known && end >= blocked)) {
              blocked = Math.max(end, at + 1)
              by = known ? -1 : l
            }
          }
        } else if (start < next) {
          next = start
          nextEnd = end
        }
      }
      if (blocked === 0 && until + reset <= next)
        return { id, limit: next === open ? this.shape.endsS : next - reset, later: at, closes: -1 }
      const when = blocked === 0 ? nextEnd : blocked
      if (when < later) {
        later = when
        closes = blocked === 0 ? -1 : by
      }
    }
    return { id: -1, limit: 0, later, closes }
  }

  cost(): Cost {
    const { loads } = this.shape
    let [unplaced, lateS, endS, sum] = [0, 0, 0, 0]
    for (let l = 0; l < loads.length; l++) {
      const { weight, dueS } = loads[l] as Load
      if ((this.placed[l] as number) <= 0) {
        unplaced += weight
        continue
      }
      const end = this.endOf[l] as number
      sum += end
      if (end > endS) endS = end
      if (end > dueS) lateS += weight * (end - dueS)
    }
    const all = unplaced * 1e9 + lateS * 64 + endS * 32 + Math.floor((sum * 8) / loads.length)
    return { unplaced, lateS, endS, all }
  }
}

/** A load’s stays with their times. */
function staysAt({ stays }: Load, startOf: (block: number) => number): PlacedStay[] {
  return stays.map(({ fromBlock, fromS, toBlock, toS, low, high }) => ({
    ...{ fromS: startOf(fromBlock) + fromS, toS: startOf(toBlock) + toS, low, high },
  }))
}
