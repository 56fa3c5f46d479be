import { DomainError } from '../error'
import type { Finding } from '../finding'
import type { TimeFactor } from './developingTime'

/** Per stop of under-exposure and of over-exposure; schools differ (1.25–1.5). Rounded literature values. */
const pushPerStop = 1.35
const pullPerStop = 0.8
/** A rotary drum agitates all the time. Rounded literature value. */
const rotaryFactor = 0.85

/** s of pre-wet from which the emulsion is swollen already and a drum develops no faster. Rounded practice. */
const longPreWetS = 120

/**
 * The time factors a load brings along, in the order in which they are shown; a factor of 1 is left out.
 * @example
 * loadFactors({ pushStops: 1, rotary: true }) // → [{ name: 'push 1', factor: 1.35 }, { name: 'rotary', factor: 0.85 }]
 */
export function loadFactors(load: { pushStops: number; rotary: boolean; preWetS?: number }): TimeFactor[] {
  const { pushStops, preWetS = 0 } = load
  const rotary = load.rotary && preWetS < longPreWetS
  if (!Number.isFinite(pushStops)) throw new DomainError('out-of-range', 'Push or pull must be a number of stops.')
  return [
    ...(pushStops > 0 ? [{ name: `push ${pushStops}`, factor: pushPerStop ** pushStops }] : []),
    ...(pushStops < 0 ? [{ name: `pull ${-pushStops}`, factor: pullPerStop ** -pushStops }] : []),
    ...(rotary ? [{ name: 'rotary', factor: rotaryFactor }] : []),
  ]
}

/** Beyond three stops of push or two of pull the chart no longer helps. */
export const pushFindings = (pushStops: number): Finding[] =>
  pushStops > 3 || pushStops < -2
    ? [
        {
          rule: 'plan-push',
          severity: 'warning',
          message: 'More than 3 stops of push or 2 of pull: no factor is good for that. Develop a test film first.',
        },
      ]
    : []
