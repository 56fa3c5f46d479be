import { DomainError } from '../error'
import { developingTime, type TimePoint } from './developingTime'

/**
 * Times of one film, developer and dilution from several sources that disagree, as one chart between them: the geometric mean of what each says, at the temperature
 * wanted and at every charted one that all of them can answer. °C, s.
 * @throws what `developingTime` throws where one of them has no answer at the temperature wanted
 * @example
 * betweenSources([[{ temperatureC: 20, seconds: 400 }], [{ temperatureC: 20, seconds: 900 }]], { temperatureC: 20 }) // → [{ temperatureC: 20, seconds: 600 }]
 */
export function betweenSources(
  charts: TimePoint[][],
  { temperatureC, k, rangeC }: { temperatureC: number; k?: number | undefined; rangeC?: [number, number] | undefined },
): TimePoint[] {
  const by = { ...(k === undefined ? {} : { k }), ...(rangeC === undefined ? {} : { rangeC }) }
  const meanAt = (c: number): TimePoint => {
    const logs = charts.map((chart) => Math.log(developingTime({ chart, temperatureC: c, ...by }).seconds))
    return { temperatureC: c, seconds: Math.exp(logs.reduce((sum, one) => sum + one, 0) / logs.length) }
  }
  const wanted = meanAt(temperatureC)
  const others = [...new Set(charts.flat().map((row) => row.temperatureC))].filter((c) => c !== temperatureC)
  return [wanted, ...others.flatMap((c) => answered(() => meanAt(c)))].sort((a, b) => a.temperatureC - b.temperatureC)
}

/** Nothing where one of the sources has no answer. */
function answered(ask: () => TimePoint): TimePoint[] {
  try {
    return [ask()]
  } catch (error) {
    if (error instanceof DomainError) return []
    throw error
  }
}
