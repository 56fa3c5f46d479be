import type { Finding } from '../finding'
import type { TimePoint } from './developingTime'

/** How fast times of usual developers fall with the temperature, per °C; outside it a row is misread or mistyped. Rounded literature values. */
const gentlest = 0.03
const steepest = 0.2

/**
 * What is wrong with the charted times of one film, developer, dilution, index and source, as it is written. It stops no plan that does not need the row.
 * @example
 * checkChart([{ temperatureC: 20, seconds: 600 }, { temperatureC: 24, seconds: 700 }]).length // → 1
 */
export function checkChart(rows: TimePoint[]): Finding[] {
  const sorted = [...rows].sort((a, b) => a.temperatureC - b.temperatureC)
  return sorted.slice(1).flatMap((b, i): Finding[] => {
    const a = sorted[i] as TimePoint
    if (a.temperatureC === b.temperatureC)
      return [
        {
          rule: 'chart-twice',
          severity: 'error',
          message: `There are two times at ${a.temperatureC} °C, ${Math.round(a.seconds)} s and ${Math.round(b.seconds)} s: take one out, or name its source.`,
        },
      ]
    const perC = Math.log(a.seconds / b.seconds) / (b.temperatureC - a.temperatureC)
    if (perC <= 0)
      return [
        {
          rule: 'chart-rising',
          severity: 'error',
          message: `The time does not fall from ${a.temperatureC} to ${b.temperatureC} °C, and a warmer developer works faster: one of the two is wrong.`,
        },
      ]
    return perC < gentlest || perC > steepest
      ? [
          {
            rule: 'chart-steep',
            severity: 'warning',
            message: `From ${a.temperatureC} to ${b.temperatureC} °C the time changes by ${Math.round(perC * 100)} % a degree; developers change by about 8 %. Look at both rows again.`,
          },
        ]
      : []
  })
}
