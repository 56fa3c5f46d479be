import { requireAmounts, requirePositive } from '../error'
import type { Finding } from '../finding'

/** What a drum holds by weight may differ so much from its lines, by share and in ml, before it is looked into. House defaults. */
const [mostShare, mostMl] = [0.05, 500]

/**
 * What a drum holds by its weight, ml, against the sum of its lines.
 * @throws DomainError 'out-of-range'
 * @example
 * drumCheck({ ledgerMl: 15_000, tareKg: 1.2, readingKg: 17.58, gPerMl: 1.05 }).findings.map((one) => one.rule) // → ['drum-weight']
 */
export function drumCheck({
  ledgerMl,
  tareKg,
  readingKg,
  gPerMl,
}: {
  ledgerMl: number
  tareKg: number
  readingKg: number
  gPerMl: number
}): { ml: number; findings: Finding[] } {
  requireAmounts({ 'The sum of its lines': ledgerMl, 'The empty drum': tareKg, 'The reading': readingKg })
  requirePositive({ 'The weight of a ml': gPerMl })
  const ml = Math.max(0, (1000 * (readingKg - tareKg)) / gPerMl)
  const off = Math.abs(ml - ledgerMl)
  if (readingKg < tareKg)
    return { ml, findings: [{ rule: 'drum-weight', severity: 'error', message: 'It weighs less than the empty drum: weigh it again.' }] }
  if (off <= mostMl && off <= mostShare * ledgerMl) return { ml, findings: [] }
  const [litres, lines] = [ml, ledgerMl].map((one) => (one / 1000).toFixed(2))
  return {
    ml,
    findings: [
      {
        ...{ rule: 'drum-weight', severity: 'warning' },
        message: `By weight it holds ${litres} L, by its lines ${lines} L: something was poured that is not written, or written twice.`,
      },
    ],
  }
}
