import { requireAmounts, requirePositive } from '../error'

/**
 * Millilitres of each part of a dilution, in the order of the parts: 1+4 to 1000 ml is [200, 800], concentrate first.
 * @example
 * dilute({ parts: [1, 4], totalMl: 1000 }) // → [200, 800]
 */
export function dilute({ parts, totalMl }: { parts: number[]; totalMl: number }): number[] {
  requireAmounts({ 'The volume': totalMl })
  requirePositive(Object.fromEntries(parts.map((part, i) => [`Part ${i + 1}`, part])))
  const sum = parts.reduce((total, part) => total + part, 0)
  return parts.map((part) => (totalMl * part) / sum)
}
