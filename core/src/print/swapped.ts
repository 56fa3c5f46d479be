import { requirePositive } from '../error'
import type { Finding } from '../finding'
import { stopsBetween } from './exposure'

/** stops by which the ratios of two tones may differ before the contrast has moved. House default. */
const contrastStops = 0.25

/** Two strips, before and after a change, matched for one light and one dark tone, s each. */
export interface MatchedStrips {
  light: { beforeS: number; afterS: number }
  dark: { beforeS: number; afterS: number }
}

/**
 * What another developer, box of paper or lamp does: the factor by which every noted time is multiplied, from the light tone, in stops as well, and by how many stops the dark tone
 * went further; harder where it needs more than the light one.
 * @throws DomainError 'out-of-range'
 * @example
 * matchedFactor({ light: { beforeS: 12, afterS: 15 }, dark: { beforeS: 20, afterS: 25 } }).factor // → 1.25
 */
export function matchedFactor({ light, dark }: MatchedStrips): { factor: number; stops: number; darkStops: number; findings: Finding[] } {
  requirePositive({ 'The light tone before': light.beforeS, 'The light tone after': light.afterS })
  requirePositive({ 'The dark tone before': dark.beforeS, 'The dark tone after': dark.afterS })
  const stops = stopsBetween(light.beforeS, light.afterS)
  const darkStops = stopsBetween(dark.beforeS, dark.afterS) - stops
  const softer = darkStops > 0
  return {
    ...{ factor: light.afterS / light.beforeS, stops, darkStops },
    findings:
      Math.abs(darkStops) > contrastStops
        ? [
            {
              ...{ rule: 'print-contrast-moved', severity: 'warning' },
              message: `The contrast moved: the dark tone needs ${Math.abs(darkStops).toFixed(2)} stops ${softer ? 'more' : 'less'} than the light one. It prints ${softer ? 'softer: try half a grade harder' : 'harder: try half a grade softer'}.`,
            },
          ]
        : [],
  }
}

/**
 * Percent, either way, that a match on a strip of such steps (stops) leaves unsure: half a step.
 * @example
 * matchedWithin(1 / 6) // → 5.9463
 */
export function matchedWithin(stepStops: number): number {
  requirePositive({ 'A step': stepStops })
  return 100 * (2 ** (stepStops / 2) - 1)
}
