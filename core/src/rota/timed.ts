import type { PlacedLoad, RotaLoad } from './problem'

export interface Span {
  fromS: number
  toS: number
}
/** A placed load with its times, as the plan has them. */
export interface Timed {
  load: RotaLoad
  placed: PlacedLoad
  starts: number[]
  endS: number
  handsOn: Span[]
}

/**
 * A load with the times its place gives it, s.
 * @example
 * timesOf(evening.loads[0], { load: 'l1', startS: 64_800, vessel: 'tank', bath: 'tub', person: 0 }).endS // → 65800
 */
export function timesOf(load: RotaLoad, placed: PlacedLoad): Timed {
  let at = placed.startS
  const starts = load.steps.map((step, i) => {
    const start = at + (placed.waits?.[i] ?? 0)
    at = start + step.s
    return start
  })
  const handsOn = load.steps.flatMap((step, i) =>
    step.handsOn.map(([from, to]) => ({ fromS: (starts[i] ?? 0) + from, toS: (starts[i] ?? 0) + to })),
  )
  return { load, placed, starts, endS: at, handsOn }
}

/** The first moment at which more than so many of them are there at once; null where there is none. Empty ones are nowhere. */
export function crowdedAt(spans: Span[], places: number): number | null {
  const turns = spans
    .filter((span) => span.toS > span.fromS)
    .flatMap(({ fromS, toS }) => [
      { at: fromS, by: 1 },
      { at: toS, by: -1 },
    ])
    .sort((a, b) => a.at - b.at || a.by - b.by)
  let there = 0
  for (const { at, by } of turns) {
    there += by
    if (there > places) return at
  }
  return null
}
