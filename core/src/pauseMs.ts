const leastMs = 500
const mostMs = 15_000

/**
 * ms to wait before the next try after so many that failed: twice as long each time up to a quarter of a minute, and never the same for two who lost the same thing at
 * once. `random` answers 0 to 1; every reconnect and every repeated call of server and browser waits like this.
 * @example
 * [0, 1, 2, 10].map((failed) => pauseMs(failed, () => 1)) // → [500, 1000, 2000, 15000]
 * pauseMs(1, () => 0) // → 500
 */
export const pauseMs = (failed: number, random: () => number): number => Math.min(mostMs, leastMs * 2 ** failed) * (0.5 + random() / 2)
