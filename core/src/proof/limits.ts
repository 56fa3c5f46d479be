import type { TestKind } from './proof'

/** From so many times the fresh clearing time a fixer is retired; from `soon` times it is tested sooner. Rounded literature values. */
export const clearingLimit = { retire: 2, soon: 1.5 }
/** From so many times the fresh time until a leader is black a developer is retired; over `marginal` times its density is looked at. Rounded literature values. */
export const leaderLimit = { retire: 2, marginal: 1.5 }
/** Under such a share of the fresh density a developer is retired; up to `marginal` it is not for anyone's only negatives. Rounded literature values. */
export const densityLimit = { retire: 0.75, marginal: 0.9 }
/** pH a developer may be from its fresh batch: nothing to `watch`, a warning from `marginal`, the end from `retire` on. Rounded literature values. */
export const phLimit = { watch: 0.1, marginal: 0.2, retire: 0.3 }
/** Share of the silver limit from which on the next fixer is mixed. Rounded literature value. */
export const silverNear = 0.75

export interface Limit {
  at: number
  /** in words, for what it is drawn beside */
  name: string
  /** where it lies from the fresh reading */
  towards: 'up' | 'down'
}

/**
 * Where the readings of a kind of test end a bath: the same figures its verdicts go by. `readings` by use, the first one fresh; null where the kind has no such limit or
 * nothing to hold it against.
 * @example
 * limitOf('scrap-density', [1.2, 1.1], { fresh: 1.2, silverLimitGPerL: null })?.at // → 0.9
 */
export function limitOf(
  kind: TestKind,
  readings: number[],
  { fresh: known, silverLimitGPerL }: { fresh: number | null; silverLimitGPerL: number | null },
): Limit | null {
  const [first] = readings
  const fresh = known ?? first
  if (fresh === undefined) return null
  switch (kind) {
    case 'clearing-time':
      return first === undefined ? null : { at: clearingLimit.retire * first, name: 'twice the fresh time', towards: 'up' }
    case 'leader-black':
      return { at: leaderLimit.retire * fresh, name: 'twice the fresh time', towards: 'up' }
    case 'scrap-density':
      return { at: densityLimit.retire * fresh, name: `${densityLimit.retire * 100} % of the fresh density`, towards: 'down' }
    case 'developer-ph': {
      const falls = (readings.at(-1) ?? fresh) < fresh
      return { at: fresh + (falls ? -1 : 1) * phLimit.retire, name: `${phLimit.retire} from fresh`, towards: falls ? 'down' : 'up' }
    }
    case 'silver-paper':
      return silverLimitGPerL === null ? null : { at: silverLimitGPerL, name: 'its limit', towards: 'up' }
    default:
      return null
  }
}
