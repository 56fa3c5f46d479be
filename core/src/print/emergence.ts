import { DomainError, requirePositive, requireTemperatures } from '../error'
import type { Finding } from '../finding'

/** share a °C by which development goes faster, rounded literature value, and °C that emergence is compared at */
const [k, standardC] = [0.081, 20]
/** of the fresh bath's emergence: where its developer is replaced, and where it is thrown away. House defaults. */
export const emergenceLimit = { replace: 1.5, retire: 2 }

export type PaperBase = 'rc' | 'fibre'

/**
 * The factor of a paper in a developer: its time in the fresh bath over the s until a chosen middle tone begins to show.
 * @throws DomainError 'out-of-range'; 'no-emergence' for paper that holds its own developing agent, which comes up at once whatever the bath is
 * @example
 * emergenceFactor({ developS: 120, emergenceS: 20, base: 'fibre', holdsDeveloper: false }) // → 6
 */
export function emergenceFactor(of: { developS: number; emergenceS: number; base: PaperBase; holdsDeveloper: boolean }): number {
  const { developS, emergenceS, base, holdsDeveloper } = of
  requirePositive({ 'The developing time': developS, 'The emergence': emergenceS })
  if (base === 'rc' && holdsDeveloper)
    throw new DomainError('no-emergence', 'This paper holds its own developing agent: it comes up at once, and says nothing of the bath.')
  return developS / emergenceS
}

/**
 * s to develop in a tired or a cold bath: F·t_e.
 * @throws DomainError 'out-of-range'
 * @example
 * developedBy({ factor: 6, emergenceS: 25 }) // → 150
 */
export function developedBy({ factor, emergenceS }: { factor: number; emergenceS: number }): number {
  requirePositive({ 'The factor': factor, 'The emergence': emergenceS })
  return factor * emergenceS
}

/**
 * How much later a tone begins to show than in the fresh bath, both at 20 °C: a cold bath is no tired one. `freshS` at 20 °C.
 * @throws DomainError 'out-of-range'
 * @example
 * emergenceRatio({ seconds: 25, c: 18, freshS: 20 }) // → 1.0631
 */
export function emergenceRatio({ seconds, c, freshS }: { seconds: number; c: number; freshS: number }): number {
  requirePositive({ 'The emergence': seconds, 'The fresh bath’s emergence': freshS })
  requireTemperatures({ 'The bath': c })
  return (seconds * Math.exp(k * (c - standardC))) / freshS
}

/** A reading of when a tone begins to show: s, and how warm the bath was, °C. */
export interface EmergenceReading {
  seconds: number
  celsius: number
}

/**
 * How much later than in a first reading of the same paper a tone begins to show, both at 20 °C.
 * @throws DomainError 'out-of-range'
 * @example
 * emergenceAgainst({ seconds: 20, celsius: 20 }, { seconds: 25, celsius: 18 }) // → 1.0631
 */
export function emergenceAgainst(first: EmergenceReading, now: EmergenceReading): number {
  const freshS = emergenceRatio({ seconds: first.seconds, c: first.celsius, freshS: 1 })
  return emergenceRatio({ seconds: now.seconds, c: now.celsius, freshS })
}

/**
 * What that says of the developer.
 * @example
 * emergenceSays(1.6).map((one) => one.rule) // → ['tray-replace']
 */
export function emergenceSays(ratio: number): Finding[] {
  requirePositive({ 'The ratio': ratio })
  const times = ratio.toFixed(2)
  if (ratio >= emergenceLimit.retire)
    return [
      { rule: 'tray-retire', severity: 'error', message: `Tones come up ${times} times as late as in the fresh bath: throw it away.` },
    ]
  if (ratio >= emergenceLimit.replace)
    return [
      { rule: 'tray-replace', severity: 'warning', message: `Tones come up ${times} times as late as in the fresh bath: replace it.` },
    ]
  return []
}
