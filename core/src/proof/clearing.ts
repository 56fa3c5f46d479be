import { requirePositive, requireTemperatures } from '../error'

/** A fixer clears so much faster per °C near 20 °C. Rounded literature value. */
const perC = 0.05

/** Slow film (tabular grain, rich in iodide) takes so much longer to clear than ordinary. Rounded literature value. */
export const slowFilmFactor = 1.6

/**
 * The clearing time a fixer would have had at another temperature: t · 1.05^(from − to). s, °C.
 * @example
 * Math.round(clearingAt(60, 18, 24)) // → 45
 */
export function clearingAt(seconds: number, fromC: number, toC: number): number {
  requirePositive({ 'The clearing time': seconds })
  requireTemperatures({ 'The temperature it was read at': fromC, 'The temperature to compare at': toC })
  return seconds * (1 + perC) ** (fromC - toC)
}

/**
 * What was read, as it is compared and followed over time: brought to the temperature and film of its reference where the verdict was. In the unit of its
 * kind; null without a figure, and for a reading that was kept although it cannot be.
 * @example
 * comparedReading(40, { corrected: false, ratio: 1.2, reference: 33 }) // → 40
 */
export const comparedReading = (
  value: number | undefined,
  judgement: { corrected: boolean; ratio: number | null; reference: number | null; compared?: number | null | undefined },
): number | null => {
  const { corrected, ratio, reference, compared } = judgement
  if (compared !== undefined) return compared
  return corrected && ratio !== null && reference !== null ? ratio * reference : (value ?? null)
}
