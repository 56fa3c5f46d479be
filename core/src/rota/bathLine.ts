import { clustersOf, staysOf } from './checkBath'
import type { PlacedLoad, RotaProblem } from './problem'
import { timesOf } from './timed'

/** A corner of a bath's temperature through an evening. */
export interface BathCorner {
  s: number
  c: number
}
/** What is asked of a bath for a time, °C. */
export interface BathAsked {
  fromS: number
  toS: number
  lowC: number
  highC: number
}

const between = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high)

/**
 * The temperatures a bath goes through in an evening so that every stay in it is right, well within what each allows where that can be; it is moved as late as it may be, and
 * holds in between. Where it cannot be right it goes as far as it gets. °C.
 * @example
 * bathLine(evening, [{ load: 'l1', startS: 64_800, vessel: 'tank', bath: 'tub', person: 0 }], 'tub').points[0] // → { s: 64800, c: 20 }
 */
export function bathLine(problem: RotaProblem, placed: PlacedLoad[], bathId: string): { points: BathCorner[]; asked: BathAsked[] } {
  const bath = problem.baths.find((one) => one.id === bathId)
  if (!bath) return { points: [], asked: [] }
  const stays = placed.flatMap((one) => {
    const load = problem.loads.find((each) => each.id === one.load)
    return load && one.bath === bathId ? staysOf(load, timesOf(load, one).starts) : []
  })
  const asked = clustersOf(stays).map(({ fromS, toS, low, high }) => ({ fromS, toS, lowC: low / 1000, highC: high / 1000 }))
  const [heat, cool] = [bath.heatCPerMin / 60, bath.coolCPerMin / 60]
  // from which temperatures what comes after can still be reached, from the last to the first
  const from = asked.map(({ lowC, highC }) => ({ lowC, highC }))
  for (let i = from.length - 2; i >= 0; i--) {
    const [mine, next] = [from[i] as BathAsked, from[i + 1] as BathAsked]
    const gap = Math.max(0, (asked[i + 1]?.fromS ?? 0) - (asked[i]?.toS ?? 0))
    const [low, high] = [Math.max(mine.lowC, next.lowC - heat * gap), Math.min(mine.highC, next.highC + cool * gap)]
    if (low <= high) Object.assign(mine, { lowC: low, highC: high })
  }
  const points: BathCorner[] = [{ s: problem.opensS, c: bath.startC }]
  let [at, c] = [problem.opensS, bath.startC]
  asked.forEach(({ fromS, toS, lowC, highC }, i) => {
    const gap = Math.max(0, fromS - at)
    const mine = from[i] as { lowC: number; highC: number }
    // it stays where it is as long as that is well within what is asked, and is not set anew for a tenth
    const [middle, within] = [(lowC + highC) / 2, (highC - lowC) / 4]
    const wanted = between(between(c, middle - within, middle + within), mine.lowC, mine.highC)
    const next = between(wanted, c - cool * gap, c + heat * gap)
    const rate = next > c ? heat : cool
    const moves = rate > 0 ? Math.abs(next - c) / rate : 0
    if (moves > 0) points.push({ s: Math.round(Math.max(at, fromS - moves)), c })
    points.push({ s: fromS, c: next }, { s: toS, c: next })
    ;[at, c] = [toS, next]
  })
  points.push({ s: Math.max(problem.closesS, at), c })
  return { points, asked }
}
