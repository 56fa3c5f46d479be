import type { Catalogue } from '../chemical/chemical'
import { reachOf, type Part, type Reach } from './reach'
import type { Pair } from './rows'

/** The two parts as a row sees them, with the pH they reach worked out when it is asked for. */
export function pairOf(one: Part, other: Part, all: Part[], atC: number, phs: PhCourse): Pair {
  const later = Math.max(all.indexOf(one), all.indexOf(other))
  return { one, other, all, atC, end: () => phs.at(all.length), moments: () => phs.from(later) }
}

export interface PhCourse {
  /** the pH when the first `count` parts are in */
  at: (count: number) => Reach
  /** from just before a part goes in until the end */
  from: (index: number) => Reach[]
}

/** The pH of a vessel after each part of an order, solved once and only when a row asks. */
export function phCourse(all: Part[], catalogue: Catalogue): PhCourse {
  const solved = new Map<number, Reach>()
  const at = (count: number): Reach => {
    const kept = solved.get(count)
    if (kept) return kept
    const reach = reachOf(all.slice(0, count), catalogue)
    solved.set(count, reach)
    return reach
  }
  return { at, from: (index) => Array.from({ length: all.length - index + 1 }, (_, i) => at(index + i)) }
}
