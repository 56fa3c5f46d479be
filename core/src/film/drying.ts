const minuteMs = 60_000
const hourMs = 60 * minuteMs

/** Where film dries: hanging in air at 20 to 24 °C and 40 to 60 % humidity, or in a cabinet of 30 to 40 °C, never over 45. */
export const dryers = ['air', 'cabinet'] as const
export type Dryer = (typeof dryers)[number]

/** ms until film of 135 and 120 is dry, and until reels may be loaded again. Rounded literature values. */
const filmMs: Record<Dryer, number> = { air: 3 * hourMs, cabinet: 40 * minuteMs }
const reelMs: Record<Dryer, number> = { air: 4 * hourMs, cabinet: 30 * minuteMs }

/**
 * When film that was hung up at a time (ms) is dry.
 * @example
 * filmDryAt(0) // → 10800000
 * filmDryAt(0, 'cabinet') // → 2400000
 */
export const filmDryAt = (hungAt: number, dryer: Dryer = 'air'): number => hungAt + filmMs[dryer]
/**
 * When reels that came out of the wash at a time (ms) may be loaded again: film sticks to a wet one.
 * @example
 * reelsDryAt(0) // → 14400000
 */
export const reelsDryAt = (outAt: number, dryer: Dryer = 'air'): number => outAt + reelMs[dryer]

/**
 * The lowest places of a dryer that are free, as many as are wanted; null for those that find none.
 * @example
 * freePlaces({ places: 4, taken: [1, 3] }, 3) // → [2, 4, null]
 */
export function freePlaces({ places, taken }: { places: number; taken: number[] }, wanted: number): (number | null)[] {
  const free = Array.from({ length: places }, (_, i) => i + 1).filter((place) => !taken.includes(place))
  return Array.from({ length: wanted }, (_, i) => free[i] ?? null)
}
