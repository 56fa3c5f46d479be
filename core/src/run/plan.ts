import { impossible } from '../error'
import type { Plan } from '../process/load'

/**
 * Whether a run may be planned like that; answers why in spite of what speaks against it, null where nothing does.
 * @throws Refused with the rule of the gravest finding, where no reason is given
 * @example
 * decidePlanning(run, undefined) // → null
 */
export function decidePlanning(plan: Plan, overrule: string | undefined): string | null {
  const worst = plan.findings.find((finding) => finding.severity === 'error')
  if (!worst) return null
  if (overrule === undefined) throw impossible(worst.rule, worst.message)
  return overrule
}
