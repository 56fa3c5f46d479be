import type { Repair } from './formula/repair'

export type Severity = 'error' | 'warning' | 'advice'

/** Something unwise that was noticed: which rule, how bad, at which step (from 0), and why in one sentence. */
export interface Finding {
  rule: string
  severity: Severity
  step?: number
  message: string
  /** what would answer it, where there is such a change */
  repair?: Repair
}

const rank: Record<Severity, number> = { error: 0, warning: 1, advice: 2 }

/** Worst first, then in the order of the steps; what concerns the whole comes before its steps. */
export const byGravity = (a: Finding, b: Finding): number => rank[a.severity] - rank[b.severity] || (a.step ?? -1) - (b.step ?? -1)
