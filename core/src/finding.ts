import { z } from 'zod'
import type { Repair } from './formula/repair'

const severity = z.enum(['error', 'warning', 'advice'])
export type Severity = z.output<typeof severity>

/** Something unwise that was noticed: which rule, how bad, at which step (from 0), and why in one sentence. */
export const finding = z.object({ rule: z.string(), severity, step: z.int().optional(), message: z.string() })
export interface Finding extends z.output<typeof finding> {
  /** what would answer it, where there is such a change */
  repair?: Repair
}

const rank: Record<Severity, number> = { error: 0, warning: 1, advice: 2 }

/**
 * Worst first, then in the order of the steps; what concerns the whole comes before its steps.
 * @example
 * [{ rule: 'b', severity: 'advice', message: '' }, { rule: 'a', severity: 'error', message: '' }].sort(byGravity)[0].rule // → 'a'
 */
export const byGravity = (a: Finding, b: Finding): number => rank[a.severity] - rank[b.severity] || (a.step ?? -1) - (b.step ?? -1)
