import { DomainError, requirePositive } from '../error'
import { toThousandth } from './verdicts/judgement'

type ControlRule = 'action' | 'control' | 'two-of-three' | 'trend' | 'side'
export interface ControlFlag {
  index: number
  rule: ControlRule
}

const order: ControlRule[] = ['action', 'control', 'two-of-three', 'trend', 'side']
const trendPoints = 6
const sidePoints = 9

/**
 * What a row of control points says, by five rules: past the action limit; past the control limit; two of three past the action limit on one
 * side; six in a row rising or falling; nine on one side. `action` and `control` are distances from the mean, past is strictly greater.
 * Differences are rounded to the third decimal first, so that a point exactly at a limit is not past it. Each rule is reported at the point that completes it and at later ones still in it. Points and limits in one unit.
 * @example
 * controlChart([0, 0.1, 0.35], { mean: 0, action: 0.2, control: 0.3 }) // → [{ index: 2, rule: 'control' }]
 */
export function controlChart(points: number[], limits: { mean: number; action: number; control: number }): ControlFlag[] {
  requirePositive({ 'The action limit': limits.action, 'The control limit': limits.control })
  if (!Number.isFinite(limits.mean) || !points.every(Number.isFinite))
    throw new DomainError('out-of-range', 'Every point of a control chart must be a number.')
  const off = points.map((point) => toThousandth(point - limits.mean))
  const [action, control] = [toThousandth(limits.action), toThousandth(limits.control)]
  const pastAction = off.map((d) => (Math.abs(d) > action ? Math.sign(d) : 0))
  return points.flatMap((_, index) => {
    const rules = new Set<ControlRule>()
    const d = off[index] ?? 0
    if (Math.abs(d) > control) rules.add('control')
    else if (Math.abs(d) > action) rules.add('action')
    const side = pastAction[index] ?? 0
    if (side !== 0 && pastAction.slice(Math.max(0, index - 2), index + 1).filter((one) => one === side).length >= 2)
      rules.add('two-of-three')
    if (inTrend(points.slice(Math.max(0, index - trendPoints + 1), index + 1))) rules.add('trend')
    const last = off.slice(Math.max(0, index - sidePoints + 1), index + 1)
    if (last.length === sidePoints && (last.every((one) => one > 0) || last.every((one) => one < 0))) rules.add('side')
    return order.filter((rule) => rules.has(rule)).map((rule) => ({ index, rule }))
  })
}

function inTrend(last: number[]): boolean {
  if (last.length < trendPoints) return false
  const steps = last.slice(1).map((point, i) => toThousandth(point - (last[i] ?? 0)))
  return steps.every((step) => step > 0) || steps.every((step) => step < 0)
}
