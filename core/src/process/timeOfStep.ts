import { DomainError } from '../error'
import type { TimeFactor } from '../development/developingTime'
import { showTemperature } from '../quantity/format'
import type { Load, PlanBottle } from './load'
import type { Process } from './process'
import type { ProcessStep } from './step'

/** Kinds whose time follows the use of their bath. */
const follows: ProcessStep['kind'][] = ['develop', 'second-develop', 'bleach', 'bleach-fix', 'monobath']
/** s that a step ends at the latest where somebody looks at it and nothing else is said. House default. */
const inspectedS = 600

/** ln t along a table of times; beyond its ends only what the step bears. */
function fromTable({ name, toleranceC }: ProcessStep, table: { c: number; s: number }[], measuredC: number): number {
  const rows = [...table].sort((a, b) => a.c - b.c)
  const [coolest = measuredC, warmest = measuredC] = [rows[0]?.c, rows.at(-1)?.c]
  const within = Math.min(Math.max(measuredC, coolest), warmest)
  const c = Math.abs(measuredC - within) <= toleranceC + 1e-9 ? within : measuredC
  const exact = rows.find((row) => Math.abs(row.c - c) < 1e-9)
  if (exact) return exact.s
  const after = rows.findIndex((row) => row.c > c)
  const [low, high] = [rows[after - 1], rows[after]]
  if (after < 1 || !low || !high)
    throw new DomainError(
      'outside-range',
      `${name} has times from ${showTemperature(coolest)} to ${showTemperature(warmest)}: bring it there, it has ${showTemperature(c)}.`,
    )
  const share = (c - low.c) / (high.c - low.c)
  return Math.exp(Math.log(low.s) + (Math.log(high.s) - Math.log(low.s)) * share)
}

/** The factor of a push by a step's own figures, ln-straight between them; a step without any is not pushed. */
function pushed(step: ProcessStep, stops: number): TimeFactor[] {
  if (!step.push || stops === 0) return []
  const rows = [...step.push].sort((a, b) => a.stops - b.stops)
  const after = rows.findIndex((row) => row.stops >= stops)
  const [low, high] = [rows[after - 1] ?? rows[after], rows[after]]
  if (!low || !high || low.stops > stops)
    throw new DomainError(
      'push-unknown',
      `${step.name} can be pushed from ${rows[0]?.stops ?? 0} to ${rows.at(-1)?.stops ?? 0} stops in this process, not by ${stops}.`,
    )
  const share = high.stops === low.stops ? 0 : (stops - low.stops) / (high.stops - low.stops)
  const factor = Math.exp(Math.log(low.factor) + (Math.log(high.factor) - Math.log(low.factor)) * share)
  return [{ name: stops > 0 ? `push ${stops}` : `pull ${-stops}`, factor }]
}

interface Asked {
  process: Process
  load: Load
  /** s by the development chart, where a step takes its time from it */
  chartS: number | null
  temperatureC: number
  bottle: PlanBottle | null
  /** roll equivalents a litre of its bath has in this run */
  rollsPerL: number
}

/** s of a step before anything multiplies it. */
function baseOf(step: ProcessStep, { process, load, chartS, temperatureC }: Asked, depth = 0): number {
  const { time } = step
  const said = load.times?.[step.key]
  if (said !== undefined) return said
  if (time === 'chart') return chartS ?? 0
  if ('s' in time && 'clearing' in time) return load.clearingS === undefined ? time.s : time.clearing * load.clearingS
  if ('s' in time) return time.s
  if ('table' in time) return fromTable(step, time.table, temperatureC)
  if ('inspect' in time) return time.atMostS ?? inspectedS
  const of = process.steps.find((one) => one.key === time.of)
  if (!of || depth > process.steps.length)
    throw new DomainError('process-broken', `${step.name} takes a share of ${time.of}, which is not to be found.`)
  return time.share * baseOf(of, { process, load, chartS, temperatureC } as Asked, depth + 1)
}

/**
 * s of a step of a load, and what its time was multiplied by. The development chart has its factors in itself.
 * @throws DomainError 'outside-range' beyond a table of times, 'push-unknown' beyond the stops a process has factors for
 */
export function timeOfStep(step: ProcessStep, asked: Asked): { seconds: number; factors: TimeFactor[] } {
  const base = baseOf(step, asked)
  if (step.time === 'chart') return { seconds: base, factors: [] }
  const { bottle, load, rollsPerL } = asked
  const used = bottle && bottle.timeFactor !== 1 && follows.includes(step.kind) ? [{ name: 'used bath', factor: bottle.timeFactor }] : []
  const factors = [...pushed(step, load.pushStops), ...used]
  const once = factors.reduce((product, one) => product * one.factor, base) + (step.perRollPerLitreS ?? 0) * rollsPerL
  return { seconds: once * (step.sides ?? 1), factors }
}
