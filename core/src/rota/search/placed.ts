import { mark, unmark } from './busy'
import type { Load, Shape } from './shape'

/** A load that is fixed. */
export interface Fixed {
  load: number
  starts: number[]
  vessel: number
  person: number
  bath: number
}

/** What is placed so far: when, where and by whom, and which seconds that takes of everybody. */
export class Placed {
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
  protected readonly away: Int32Array
  protected readonly trial: Int32Array
  protected readonly least: Int32Array
  /** loads of each person whose later parts are still to be placed, and after how many more: [count, load, after, load, after, …] a person */
  protected readonly pending: Int32Array
  /** when each break begins, -1 where it has not been placed */
  protected readonly breakAt: Int32Array
  /** what is placed later takes places that others take too: whoever is placed is held against all of it */
  protected readonly shared: boolean
  protected readonly saved: Int32Array
  /** what was marked since a moment that may be gone back to: [offset, from, to, …] */
  protected marks: number[] = []

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

  /** What is fixed is placed as it is, and is never taken back. */
  place({ load, starts, vessel, person, bath }: Fixed): void {
    const { blocks } = this.shape.loads[load] as Load
    starts.forEach((at, i) => this.commit(load, i, at, person))
    this.vesselOf[load] = vessel
    this.bathOf[load] = bath
    this.placed[load] = blocks.length
    this.marks.length = 0
  }

  protected commit(load: number, block: number, at: number, person: number): void {
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

  /** Takes back what was marked since. */
  protected back(since: number): void {
    const { marks } = this
    for (let i = since; i < marks.length; i += 3) unmark(this.words, marks[i] as number, marks[i + 1] as number, marks[i + 2] as number)
    marks.length = since
  }

  /** What was marked stays. */
  marksDone(): void {
    this.marks.length = 0
  }

  protected slot(person: number): number {
    return person * (1 + 2 * this.shape.loads.length)
  }
}
