import { dayMs } from '../calendar/span'

/**
 * When (ms) a bottle is too old if it stays as it stands at `at`; null where its formula does not say how long it keeps. What the shelf forecasts, what a label says
 * and what supply reckons with.
 * @example
 * goodUntil({ daysLeft: 2 }, 0) // → 172_800_000
 */
export const goodUntil = ({ daysLeft }: { daysLeft: number | null }, at: number): number | null =>
  daysLeft === null ? null : at + daysLeft * dayMs
