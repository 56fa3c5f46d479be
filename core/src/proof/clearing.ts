import { requirePositive, requireTemperatures } from '../error'

/** A fixer clears so much faster per °C near 20 °C. Rounded literature value. */
const perC = 0.05

/** The clearing time a fixer would have had at another temperature: t · (1 − 5 %)^(to − from). s, °C. */
export function clearingAt(seconds: number, fromC: number, toC: number): number {
  requirePositive({ 'The clearing time': seconds })
  requireTemperatures({ 'The temperature it was read at': fromC, 'The temperature to compare at': toC })
  return seconds * (1 - perC) ** (toC - fromC)
}

/** What was read, as it is compared and followed over time: brought to the temperature of its reference where the verdict was. In the unit of its kind; null without a figure. */
export const comparedReading = (
  value: number | undefined,
  { corrected, ratio, reference }: { corrected: boolean; ratio: number | null; reference: number | null },
): number | null => (corrected && ratio !== null && reference !== null ? ratio * reference : (value ?? null))
