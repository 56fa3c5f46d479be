import { mayBeUsed, type Usable } from './mayBeUsed'

/** Since when a bottle exists and is open, ms; null while nothing was taken of it. */
export interface Opened {
  madeAt: number
  openedAt: number | null
}

const byOpening = (a: Opened, b: Opened): number => Number(a.openedAt === null) - Number(b.openedAt === null) || a.madeAt - b.madeAt

/**
 * Bottles of one kind in the order of use: the oldest open one first; those not opened yet after it, the oldest first.
 * @example
 * orderOfUse([{ madeAt: 1, openedAt: null }, { madeAt: 3, openedAt: 4 }]).map((bottle) => bottle.madeAt) // → [3, 1]
 */
export const orderOfUse = <B extends Opened>(bottles: B[]): B[] => [...bottles].sort(byOpening)

/** A bottle as it stands on the shelf. */
export interface Standing extends Usable {
  madeAt: number
  state: Usable['state'] & { openedAt: number | null }
}

/**
 * Compares two bottles of one kind by what is poured first: those that may be used before the rest, each in the order of use.
 * @example
 * const aged = (madeAt: number, retiredAt: number | null) => ({ madeAt, retiredAt, state: { findings: [], openedAt: null } })
 * [aged(1, 5), aged(2, null)].sort(pouredFirst).map((one) => one.madeAt) // → [2, 1]
 */
export const pouredFirst = (a: Standing, b: Standing): number =>
  Number(!mayBeUsed(a)) - Number(!mayBeUsed(b)) ||
  byOpening({ madeAt: a.madeAt, openedAt: a.state.openedAt }, { madeAt: b.madeAt, openedAt: b.state.openedAt })
