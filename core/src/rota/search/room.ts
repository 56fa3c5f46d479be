import { laterBy, placeIn, type PlacedStay } from './baths'
import { fit, mark } from './busy'
import { Placed, type Fixed } from './placed'
import type { Load, Shape } from './shape'

/** A second later than any. */
const open = 0x3fffffff

/** Where there is room beside what is placed: for hands and waits, in a bath, a vessel, a resource, for breaks. */
export class Room extends Placed {
  /** Least starts of the first parts from `from` on, hands and waits alone, into `trial`; answers the first, or -1. */
  protected chain(load: Load, person: number, parts: number, from: number): number {
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
  protected windows(token: number, load: Load, from: number): boolean {
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
  protected resourceLater(load: Load, from: number, to: number, startOf: (part: number) => number): number {
    let later = 0
    for (let j = from; j < to; j++) {
      const { uses } = load.blocks[j] as Load['blocks'][number]
      for (let i = 0; i < uses.length; i += 3) {
        const resource = uses[i] as number
        const [from, to] = [startOf(j) + (uses[i + 1] as number), startOf(j) + (uses[i + 2] as number)]
        const places = this.shape.places[resource] as number
        if (places !== Infinity) later = Math.max(later, placeIn(places, this.taken(resource), from, to))
        // a room has one light at a time
        for (const other of this.shape.against[resource] as number[]) later = Math.max(later, placeIn(1, this.taken(other), from, to))
      }
    }
    return later
  }

  private taken(resource: number): { fromS: number; toS: number }[] {
    const spans: { fromS: number; toS: number }[] = this.shape.lit.filter((one) => one.resource === resource)
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
  protected bathLater(load: Load, bath: number): number {
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
  protected vesselAt(load: Load, at: number, until: number): { id: number; limit: number; later: number; closes: number } {
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

  /** What a person has in hand and which breaks they have, whether they are there or not: a break may reach beyond somebody’s duty. */
  protected inHand(person: number): Int32Array {
    const from = person * this.width
    const words = this.words.slice(from, from + this.width)
    for (let i = 0; i < words.length; i++) words[i] = (words[i] as number) & ~(this.away[from + i] as number)
    this.shape.breaks.forEach((one, i) => {
      const at = this.breakAt[i] as number
      if (one.person === person && at >= 0) mark(words, 0, at, at + one.s)
    })
    return words
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
}

/** A load’s stays with their times. */
function staysAt({ stays }: Load, startOf: (block: number) => number): PlacedStay[] {
  return stays.map(({ fromBlock, fromS, toBlock, toS, low, high }) => ({
    ...{ fromS: startOf(fromBlock) + fromS, toS: startOf(toBlock) + toS, low, high },
  }))
}
