import { seeded } from '../../chance/seeded'
import { Decoder, type Candidate, type Cost } from './decode'
import type { Fixed } from './placed'
import type { Load, Shape } from './shape'

/** changes of the first cooling; from the best on there are half as many again every time */
const firstLength = 4000
const longestLength = 40_000
/** by how much worse a change may be that is taken when a cooling begins, in units of a cost: about a minute of the evening's end; from the best on, half of it */
const hot = 2000
const warm = 1000
/** 1,024 times −ln of 64 even chances: what a change may be worse by, of what is warm */
const chances = Array.from({ length: 64 }, (_, i) => Math.round(-1024 * Math.log((i + 0.5) / 64)))

export const copy = ({ order, person, bath, delay, lazy }: Candidate): Candidate => ({
  ...{ order: [...order], person: [...person], bath: [...bath], delay: [...delay], lazy: [...lazy] },
})

/** Earliest due first, by turns. */
export function byTurns({ loads, people, breaks }: Shape, free: number[]): Candidate {
  const order = [...free].sort((a, b) => (loads[a] as Load).dueS - (loads[b] as Load).dueS || a - b)
  const person = loads.map(() => 0)
  order.forEach((load, i) => (person[load] = i % people))
  return {
    ...{ order: [...breaks.map((_, i) => loads.length + i), ...order], person, bath: loads.map(() => -1) },
    ...{ delay: loads.map(() => 0), lazy: loads.map(() => 1) },
  }
}

/** Fewer left out, then less late, then sooner over; and, all the same, more of it over sooner. */
const better = (a: Cost, b: Cost): boolean => (a.unplaced - b.unplaced || a.lateS - b.lateS || a.endS - b.endS || a.all - b.all) < 0

/**
 * Annealing: a change is taken where it is no worse than now, or by chance not worse by more than the evening is warm; it cools from cycle to cycle, each longer than the one before.
 * Only whole numbers are compared, so it runs alike everywhere.
 */
export class Search {
  readonly decoder: Decoder
  best: Candidate
  bestCost: Cost
  private now: Candidate
  private nowCost: Cost
  private readonly random: () => number
  private begun = false
  /** of this cooling: changes tried, changes in all, warmth at its beginning, whether it found anything better, whether it began from nothing */
  private tried = 0
  private length = firstLength
  private heat = hot
  private found = false
  private fresh = false
  private readonly free: number[]
  /** what stood before each of the order, of the present candidate */
  private readonly kept: Int32Array
  private readonly trial: Int32Array

  constructor(
    readonly shape: Shape,
    fixed: Fixed[],
    seed: number,
    /** loads that are not to be placed */
    left: number[] = [],
  ) {
    this.decoder = new Decoder(shape, fixed)
    this.random = seeded(seed)
    const isFixed = new Set([...fixed.map((one) => one.load), ...left])
    this.free = shape.loads.flatMap((_, i) => (isFixed.has(i) ? [] : [i]))
    this.kept = new Int32Array((shape.loads.length + shape.breaks.length + 1) * this.decoder.state.length)
    this.trial = new Int32Array(this.kept.length)
    this.now = { order: [], person: [], bath: [], delay: [], lazy: [] }
    this.best = this.now
    this.nowCost = this.bestCost = { unplaced: Infinity, lateS: Infinity, endS: Infinity, all: Infinity }
    // the first plan is there at once
    this.consider(byTurns(shape, this.free))
    this.settle(copy(this.best))
  }

  /** Takes a candidate for the best where it is. */
  private consider(made: Candidate): void {
    const cost = this.decoder.decode(made)
    if (!better(cost, this.bestCost)) return
    this.keepBaths(made)
    this.best = copy(made)
    this.bestCost = cost
  }

  /** From here on each has the bath that was ready first for it; a change may give it another. */
  private keepBaths(made: Candidate): void {
    made.bath = made.bath.map((_, i) =>
      this.shape.loads[i]?.stays.length && (this.decoder.placed[i] as number) > 0 ? (this.decoder.bathOf[i] as number) : -1,
    )
  }

  /** From a candidate on, with what is there before each of its order kept. */
  private settle(candidate: Candidate): void {
    this.now = candidate
    this.nowCost = this.decoder.decode(candidate, 0, (at) => this.keep(at))
  }
  private keep(at: number): void {
    this.kept.set(this.decoder.state, at * this.decoder.state.length)
  }

  /** Where two candidates begin to differ, in their order. */
  private sameUpTo(next: Candidate): number {
    const { now } = this
    const { order } = next
    for (let i = 0; i < order.length; i++) {
      const token = order[i] as number
      if (
        token !== now.order[i] ||
        next.person[token] !== now.person[token] ||
        next.bath[token] !== now.bath[token] ||
        next.delay[token] !== now.delay[token] ||
        next.lazy[token] !== now.lazy[token]
      )
        return i
    }
    return order.length
  }

  private int(below: number): number {
    return Math.floor(this.random() * below)
  }

  /**
   * Whatever can begin first next, by whoever it can; of those that begin almost as soon, what is due sooner for its weight. `patience` is by how many seconds an earlier due
   * date may put off a beginning, `chance` up to how many something else may.
   */
  private greedy(patience: number, chance = 0): Candidate {
    const { loads, people, breaks } = this.shape
    const { decoder } = this
    const made: Candidate = {
      ...{ order: breaks.map((_, i) => loads.length + i), person: loads.map(() => 0), bath: loads.map(() => -1) },
      ...{ delay: loads.map(() => 0), lazy: loads.map(() => 1) },
    }
    decoder.decode({ ...made, order: [...made.order] })
    decoder.marksDone()
    let left = [...this.free]
    while (left.length > 0) {
      let best = { key: Infinity, load: left[0] as number, person: 0 }
      for (const load of left)
        for (let person = 0; person < people; person++) {
          const at = decoder.peek(load, person, -1)
          if (at === null) continue
          const { dueS, wholeS, weight } = loads[load] as Load
          const slack = Math.max(0, dueS - at - wholeS)
          const key = at + Math.min(patience, Math.floor(slack / (4 * weight))) + (chance > 0 ? this.int(chance) : 0)
          if (key < best.key) best = { key, load, person }
        }
      made.person[best.load] = best.person
      made.order.push(best.load)
      decoder.put(best.load, made)
      left = left.filter((load) => load !== best.load)
    }
    return made
  }

  /** So many changes are tried. */
  round(changes: number): void {
    if (!this.begun) {
      this.begun = true
      for (const patience of [0, 60, 300, 1200]) this.consider(this.greedy(patience))
      this.settle(copy(this.best))
    }
    for (let i = 0; i < changes; i++) this.step()
  }

  private step(): void {
    if (this.free.length === 0) return
    const next = copy(this.now)
    this.change(next)
    if (this.int(4) === 0) this.change(next)
    const since = this.sameUpTo(next)
    if (since === next.order.length) return
    const size = this.decoder.state.length
    this.decoder.state.set(this.kept.subarray(since * size, (since + 1) * size))
    this.decoder.marksDone()
    const [first] = next.order
    const cost = this.decoder.decode(next, since, (at) => this.trial.set(this.decoder.state, at * size))
    // a break that found no room before all loads: all of it was placed anew
    const from = next.order[0] === first ? since : 0
    const left = this.length - this.tried++
    const warmth = Math.floor((this.heat * left * left) / (this.length * this.length))
    if (cost.all <= this.nowCost.all + ((warmth * (chances[this.int(chances.length)] as number)) >> 10)) {
      this.now = next
      this.nowCost = cost
      this.kept.set(this.trial.subarray(from * size), from * size)
    }
    if (better(cost, this.bestCost)) {
      this.best = copy(next)
      this.bestCost = cost
      this.found = true
    }
    if (this.tried === this.length) this.again()
  }

  /** Warm again: from the best, for longer than before; from a new beginning where that found nothing. */
  private again(): void {
    this.fresh = !this.found && !this.fresh
    this.tried = 0
    this.found = false
    if (this.fresh) {
      const made = this.greedy(this.int(1500), 20 + this.int(400))
      this.decoder.decode(copy(made))
      this.keepBaths(made)
      this.settle(made)
      this.heat = hot
    } else {
      this.settle(copy(this.best))
      this.heat = warm
      this.length = Math.min(longestLength, Math.floor(1.5 * this.length))
    }
  }

  private change(candidate: Candidate): void {
    const { order, person, bath, delay, lazy } = candidate
    const { people, baths, loads } = this.shape
    const load = this.free[this.int(this.free.length)] as number
    const kind = this.int(100)
    if (kind < 35) {
      // elsewhere, mostly not far
      const from = order.indexOf(load)
      order.splice(from, 1)
      const reach = 1 + this.int(this.int(4) === 0 ? order.length : 6)
      const to = Math.max(0, Math.min(order.length, from + (this.int(2) === 0 ? -reach : reach)))
      order.splice(to, 0, load)
      if (this.int(4) === 0) person[load] = this.int(people)
    } else if (kind < 60) {
      const other = this.free[this.int(this.free.length)] as number
      const [a, b] = [order.indexOf(load), order.indexOf(other)]
      ;[order[a], order[b]] = [other, load]
      // each goes where the other was
      ;[person[load], person[other]] = [person[other] as number, person[load] as number]
    } else if (kind < 72) person[load] = this.int(people)
    else if (kind < 84) lazy[load] = this.int(3)
    else if (kind < 94) delay[load] = this.int(3) === 0 ? this.int(120) : 0
    else if (baths.length > 1) {
      const mine = (loads[load] as Load).stays[0]
      const to = this.int(baths.length)
      if (this.int(2) === 0) bath[load] = to
      else
        loads.forEach((one, i) => {
          if (mine && one.stays[0] && one.stays[0].low === mine.low && one.stays[0].high === mine.high) bath[i] = to
        })
    }
  }
}
