import { betweenSources } from '../development/betweenSources'
import { developingTime, type TimePoint } from '../development/developingTime'
import { DomainError } from '../error'
import type { Load } from './load'
import type { ChartTime, RunRequest } from './shelf'

type Films = RunRequest['films']
interface By {
  temperatureC: number
  rangeC: [number, number]
  k?: number
}
interface Charted extends Pick<Load, 'chart' | 'between'> {
  chart: TimePoint[]
}

const wrongChart = () => new DomainError('wrong-chart', 'The chart rows are for another film, developer or dilution. Choose them again.')

/** One film's chart; between its sources, where they are several. */
function ofOne(rows: ChartTime[], by: By): Charted {
  const sources = [...new Set(rows.map((row) => row.source ?? ''))]
  const charts = sources.map((source) =>
    rows.filter((row) => (row.source ?? '') === source).map(({ temperatureC, seconds }) => ({ temperatureC, seconds })),
  )
  if (charts.length < 2) return { chart: charts[0] ?? [] }
  return {
    chart: betweenSources(charts, by),
    between: charts.map((chart, i) => ({ name: sources[i] ?? '', seconds: developingTime({ chart, ...by }).seconds })),
  }
}

/** Films of each kind and exposure index, in their order. */
function kindsOf(films: Films): { film: string; ei: number; count: number }[] {
  const kinds = new Map<string, { film: string; ei: number; count: number }>()
  for (const { film, ei } of films) {
    const key = JSON.stringify([film, ei])
    kinds.set(key, { film, ei, count: (kinds.get(key)?.count ?? 0) + 1 })
  }
  return [...kinds.values()]
}

/** One chart for films of several kinds: the mean of their times, by how many there are of each, at every temperature one of them is charted at and all can answer. */
function ofSeveral(each: { chart: TimePoint[]; count: number }[], by: By): TimePoint[] {
  const all = each.reduce((sum, one) => sum + one.count, 0)
  const at = (temperatureC: number): TimePoint => ({
    temperatureC,
    seconds: each.reduce((sum, { chart, count }) => sum + developingTime({ chart, ...by, temperatureC }).seconds * (count / all), 0),
  })
  const others = [...new Set(each.flatMap(({ chart }) => chart.map((row) => row.temperatureC)))].filter((c) => c !== by.temperatureC)
  const answered = others.flatMap((c) => {
    try {
      return [at(c)]
    } catch (error) {
      if (error instanceof DomainError) return []
      throw error
    }
  })
  return [at(by.temperatureC), ...answered].sort((a, b) => a.temperatureC - b.temperatureC)
}

/**
 * The chart of a load from the rows that were chosen: of its film in this developer at its dilution; of films of several kinds, which get one time, the mean of theirs.
 * @throws DomainError 'wrong-chart' where a row is of none of the films, or a film has none
 */
export function chartOf(
  films: Films,
  rows: ChartTime[],
  poured: { formulaId: string; parts: number[] } | undefined,
  by: By,
): Pick<Load, 'chart' | 'between' | 'mixed'> {
  const fits = (row: ChartTime): boolean => row.formulaId === poured?.formulaId && row.parts.join() === poured.parts.join()
  const kinds = kindsOf(films)
  const known = (row: ChartTime): boolean => kinds.some((kind) => kind.film === row.film && kind.ei === row.ei)
  if (!rows.every((row) => fits(row) && known(row))) throw wrongChart()
  if (kinds.length < 2) return ofOne(rows, by)
  const each = kinds.map(({ film, ei, count }) => {
    const own = rows.filter((row) => row.film === film && row.ei === ei)
    if (own.length === 0) throw wrongChart()
    return { film, count, chart: ofOne(own, by).chart }
  })
  return {
    chart: ofSeveral(each, by),
    mixed: each.map(({ film, chart }) => ({ name: film, seconds: developingTime({ chart, ...by }).seconds })),
  }
}
