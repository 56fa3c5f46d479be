import { fit, mark } from './busy'
import { Room } from './room'
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

export interface Cost {
  unplaced: number
  lateS: number
  endS: number
  /** the three in their order, and then how early all of it ends: smaller is better */
  all: number
}

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
export class Decoder extends Room {
  /** how often what was still to be placed has been, while a place was sought for another */
  private settled = 0

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
      if (found && held > 0) {
        const { settled } = this
        const later = this.find(load, { person, parts, wanted, from: found.at + held })
        // what was placed meanwhile may stand where it was found
        found = later ?? (this.settled === settled ? found : this.find(load, { person, parts, wanted, from }))
      }
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

  /** The earliest start of a load’s first parts, in the bath that is wanted or whichever is ready first; null where it has none. */
  private find(load: Load, { wanted, ...asked }: { person: number; parts: number; wanted: number; from: number }): Found | null {
    if (load.stays.length === 0 || wanted >= 0) return this.earliest(load, { ...asked, bath: load.stays.length === 0 ? -1 : wanted })
    for (;;) {
      const { settled } = this
      let best: Found | null = null
      for (let bath = 0; bath < this.shape.baths.length; bath++) {
        const found = this.earliest(load, { ...asked, bath })
        if (found && (!best || found.at < best.at)) best = found
      }
      // what was placed meanwhile may stand where another bath was found
      if (this.settled === settled) return best
    }
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
        this.settled++
        at = start
        continue
      }
      if (vessel.later === Infinity) return null
      at = vessel.later
    }
    return null
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
