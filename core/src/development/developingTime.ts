import { DomainError, requirePositive, requireTemperatures } from '../error'
import type { Finding } from '../finding'
import { defaultTemperatureCoefficient, lnAlong, neighbours, type TimePoint } from './chartTime'

export type { TimePoint }

export interface TimeFactor {
  name: string
  factor: number
}

export interface DevelopingTime {
  seconds: number
  baseSeconds: number
  baseC: number
  /** the first is always 'temperature'; seconds = baseSeconds · product of the factors, exactly */
  steps: TimeFactor[]
  findings: Finding[]
}

const beyondChart = 2
const beyondOnePoint = 6
const slack = 1e-9

/**
 * Developing time at the temperature the developer has. With two or more charted temperatures ln t is joined by straight lines and the
 * end pair continued at most 2 °C; with one, t = t0 · exp(−k · (T − T0)) within 6 °C. Base is the charted row nearest in temperature
 * (the cooler at a tie). Temperatures °C, times s. Throws `no-chart`, `chart-conflict`, `outside-range`, `out-of-range`.
 * @example
 * developingTime({ chart: [{ temperatureC: 20, seconds: 600 }, { temperatureC: 24, seconds: 450 }], temperatureC: 22 }).seconds // → 519.615
 */
export function developingTime(question: {
  chart: TimePoint[]
  temperatureC: number
  factors?: TimeFactor[]
  k?: number
  rangeC?: [number, number]
}): DevelopingTime {
  const { chart, temperatureC, factors = [], k = defaultTemperatureCoefficient, rangeC } = question
  if (chart.length === 0)
    throw new DomainError('no-chart', 'The development chart has no row for this film, developer and dilution. Add one first.')
  requireTemperatures({ 'The temperature': temperatureC })
  if (!Number.isFinite(k) || k < 0) throw new DomainError('out-of-range', 'The temperature coefficient must be a number of at least 0.')
  for (const row of chart) {
    requirePositive({ 'A charted time': row.seconds })
    requireTemperatures({ 'A charted temperature': row.temperatureC })
  }
  for (const { name, factor } of factors) requirePositive({ [`The factor “${name}”`]: factor })
  const rows = [...chart].sort((a, b) => a.temperatureC - b.temperatureC)
  if (rangeC && (temperatureC < rangeC[0] - slack || temperatureC > rangeC[1] + slack))
    throw new DomainError(
      'outside-range',
      `This developer works from ${rangeC[0]} to ${rangeC[1]} °C: bring it into that range, it has ${temperatureC} °C.`,
    )

  // one row a temperature: of two only what the answer does not need
  const single = rows.filter((row, i) => rows[i - 1]?.temperatureC !== row.temperatureC)
  const pair = neighbours(single, temperatureC)
  for (const { temperatureC: used } of pair)
    if (rows.filter((row) => row.temperatureC === used).length > 1)
      throw new DomainError('chart-conflict', `The chart gives two times at ${used} °C. Pick one of them in the chart.`)
  const base = pair.reduce((best, row) =>
    Math.abs(row.temperatureC - temperatureC) < Math.abs(best.temperatureC - temperatureC) ? row : best,
  )
  const { logSeconds, findings } = single.length === 1 ? fromOne(base, temperatureC, k) : fromSeveral(single, pair, temperatureC)
  const temperature = base.temperatureC === temperatureC ? 1 : Math.exp(logSeconds - Math.log(base.seconds))
  const steps = [{ name: 'temperature', factor: temperature }, ...factors]
  const seconds = steps.reduce((product, step) => product * step.factor, base.seconds)
  return { seconds, baseSeconds: base.seconds, baseC: base.temperatureC, steps, findings }
}

function fromOne(row: TimePoint, temperatureC: number, k: number): { logSeconds: number; findings: Finding[] } {
  const apart = temperatureC - row.temperatureC
  if (Math.abs(apart) > beyondOnePoint + slack)
    throw new DomainError(
      'outside-range',
      `The chart has only ${row.temperatureC} °C, more than 6 °C from ${temperatureC} °C: bring the developer nearer.`,
    )
  return { logSeconds: Math.log(row.seconds) - k * apart, findings: [] }
}

function fromSeveral(rows: TimePoint[], pair: TimePoint[], temperatureC: number): { logSeconds: number; findings: Finding[] } {
  const coolest = rows[0]?.temperatureC ?? NaN
  const warmest = rows.at(-1)?.temperatureC ?? NaN
  const beyond = Math.max(coolest - temperatureC, temperatureC - warmest, 0)
  if (beyond > beyondChart + slack)
    throw new DomainError(
      'outside-range',
      `The chart runs from ${coolest} to ${warmest} °C and may be continued by 2 °C: ${temperatureC} °C is too far out.`,
    )
  const findings: Finding[] = []
  if (beyond > 0)
    findings.push({
      rule: 'plan-extrapolated',
      severity: 'advice',
      message: `${temperatureC} °C is outside the chart (${coolest} to ${warmest} °C): the time is continued from its end.`,
    })
  const [a, b] = pair
  if (a && b && b.seconds >= a.seconds)
    findings.push({
      rule: 'plan-chart-rising',
      severity: 'warning',
      message: `The chart takes no less time at ${b.temperatureC} °C than at ${a.temperatureC} °C, which no developer does: mend one of the two rows.`,
    })
  return { logSeconds: lnAlong(pair, temperatureC), findings }
}
