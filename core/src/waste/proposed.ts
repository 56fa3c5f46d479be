import type { Drum } from './drumIds'
import type { DrumFacts, DrumState } from './drum'

interface Standing extends Pick<DrumFacts, 'family' | 'metal' | 'labelledAt'> {
  state: Pick<DrumState, 'standing' | 'roomMl' | 'firstAt'>
}

/**
 * The drum that is proposed for so many ml of a family: of those that are labelled and have room the one begun first, so that one is filled before the next is opened; null where
 * there is none.
 * @example
 * proposedDrum([{ ...aDrum, state: drumState(aDrum, []) }], { family: 'dev', ml: 500, metal: null }) // → null
 */
export function proposedDrum<D extends Standing>(
  drums: D[],
  { family, ml, metal }: { family: Drum; ml: number; metal: string | null },
): D | null {
  const can = drums.filter(
    (one) =>
      one.family === family &&
      (metal === null || one.metal === metal) &&
      one.labelledAt !== null &&
      (one.state.standing === 'open' || one.state.standing === 'empty') &&
      one.state.roomMl >= ml,
  )
  return can.sort((a, b) => (a.state.firstAt ?? Infinity) - (b.state.firstAt ?? Infinity))[0] ?? null
}
