const hourMs = 3_600_000
/** Film of 135 and 120 hanging at 20 to 24 °C, 40 to 60 % humidity, is dry after so long; reels in air may be loaded again. h, rounded literature values. */
const filmHours = 3
const reelHours = 4

/**
 * When film that was hung up at a time (ms) is dry, hanging in air.
 * @example
 * filmDryAt(0) // → 10800000
 */
export const filmDryAt = (hungAt: number): number => hungAt + filmHours * hourMs
/**
 * When reels that came out of the wash at a time (ms) may be loaded again: film sticks to a wet one.
 * @example
 * reelsDryAt(0) // → 14400000
 */
export const reelsDryAt = (outAt: number): number => outAt + reelHours * hourMs
