import type { BottleEntry } from '@selvrin/core'
import type { DemoBottle, DemoEntry } from './seasonBook'
import { hourOf } from './seasonFacts'

/** What the season's runs leave out: a compensated bath, a replenished one, and prints in two baths. */
export function otherSchools(
  bottles: DemoBottle[],
  today: number,
  entry: (bottle: DemoBottle, part: Pick<BottleEntry, 'kind' | 'at' | 'ml'> & Partial<DemoEntry>) => unknown,
): void {
  const metol = bottles.find((bottle) => bottle.formula === 'plainMetol')
  if (metol)
    for (const [i, daysAgo] of [7, 5, 2].entries()) entry(metol, { kind: 'use', at: hourOf(today, daysAgo, 17 + i), ml: -15, rolls: 1 })
  const deep = bottles.find((bottle) => bottle.formula === 'deepTank')
  if (deep)
    for (const daysAgo of [30, 24, 18, 11, 6, 3]) {
      const at = hourOf(today, daysAgo, 18)
      entry(deep, { kind: 'use', at, ml: -30, rolls: 2 })
      if (daysAgo > 3) {
        entry(deep, { kind: 'bleed', at: at + 600_000, ml: -20 })
        entry(deep, { kind: 'replenish', at: at + 600_001, ml: 50 })
      }
    }
  const [first, second] = bottles.filter((bottle) => bottle.formula === 'pairFixer')
  if (first && second) {
    for (const [bottle, position] of [
      [first, 1],
      [second, 2],
    ] as const) {
      entry(bottle, {
        kind: 'change',
        at: bottle.madeAt + 60_000,
        ml: 0,
        twoBath: { position, moves: 0, since: bottle.madeAt },
        note: position === 1 ? 'first bath of a pair' : 'second bath of a pair',
      })
      for (const daysAgo of [9, 4]) entry(bottle, { kind: 'use', at: hourOf(today, daysAgo, 20), ml: -60, paper: 3 })
    }
  }
}
