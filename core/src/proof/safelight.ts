/** Minutes the fields of the coin test get. */
export const coinMinutes = [1, 2, 4, 8] as const

/**
 * Minutes that are safe under a lamp: half of the shortest time whose coin shows; where none shows, half of the longest that was tried.
 * @example
 * safeMinutes(4) // → 2
 */
export const safeMinutes = (shortestShowing: (typeof coinMinutes)[number] | null): number => (shortestShowing ?? 8) / 2
