import { checkChart, developingTime, DomainError, showParts, type Finding } from '@selvrin/core'
import type { ChartRow, FormulaRow } from '@selvrin/core/contract'

/** One film at one exposure index in one developer, by one source. */
export interface Cell {
  key: string
  rows: ChartRow[]
  /** s at the chosen temperature; null where the chart does not reach that far */
  seconds: number | null
  /** why there is none, or what is wrong with its rows */
  says: string
  /** it was worked out, not written there for that temperature */
  between: boolean
  tried: boolean
  findings: Finding[]
}
interface Column {
  key: string
  name: string
  parts: string
  /** how many times its volume one part comes to: the strongest stands first */
  strength: number
}
export interface Wall {
  columns: Column[]
  films: { film: string; ei: number; cells: Map<string, Cell[]> }[]
}

const columnOf = (row: ChartRow): string => `${row.formulaId} ${row.parts.join('+')}`

function cellOf(key: string, rows: ChartRow[], celsius: number, developer: FormulaRow | undefined): Cell {
  const findings = checkChart(rows)
  const exact = rows.find((row) => Math.abs(row.temperatureC - celsius) < 0.05)
  const common = {
    key,
    rows: [...rows].sort((a, b) => a.temperatureC - b.temperatureC),
    findings,
    tried: rows.some((row) => row.tried !== null),
  }
  if (exact) return { ...common, seconds: exact.seconds, says: '', between: false }
  try {
    const { seconds } = developingTime({
      chart: rows.map((row) => ({ temperatureC: row.temperatureC, seconds: row.seconds })),
      temperatureC: celsius,
      ...(developer?.body.temperatureCoefficient ? { k: developer.body.temperatureCoefficient } : {}),
      ...(developer?.body.rangeC ? { rangeC: developer.body.rangeC } : {}),
    })
    return { ...common, seconds, says: '', between: true }
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return { ...common, seconds: null, says: error.message, between: true }
  }
}

/** The chart as it hangs on a wall: films down, developers across, every time at one temperature. */
export function wallOf(chart: ChartRow[], formulas: FormulaRow[], celsius: number): Wall {
  const developer = new Map(formulas.map((row) => [row.id, row]))
  const columns = new Map<string, Column>()
  const films = new Map<string, { film: string; ei: number; sets: Map<string, ChartRow[]> }>()
  for (const row of chart) {
    columns.set(columnOf(row), {
      key: columnOf(row),
      name: developer.get(row.formulaId)?.body.name ?? 'a developer that is gone',
      parts: showParts(row.parts),
      strength: row.parts.reduce((sum, part) => sum + part, 0) / (row.parts[0] ?? 1),
    })
    const film = films.get(`${row.film}|${row.ei}`) ?? { film: row.film, ei: row.ei, sets: new Map<string, ChartRow[]>() }
    const set = `${columnOf(row)}|${row.source}`
    film.sets.set(set, [...(film.sets.get(set) ?? []), row])
    films.set(`${row.film}|${row.ei}`, film)
  }
  return {
    columns: [...columns.values()].sort((a, b) => a.name.localeCompare(b.name) || a.strength - b.strength),
    films: [...films.values()]
      .sort((a, b) => a.film.localeCompare(b.film, 'en', { numeric: true }) || a.ei - b.ei)
      .map(({ film, ei, sets }) => {
        const cells = new Map<string, Cell[]>()
        for (const [key, rows] of sets) {
          const [row] = rows
          if (!row) continue
          const column = columnOf(row)
          cells.set(column, [...(cells.get(column) ?? []), cellOf(`${film}|${ei}|${key}`, rows, celsius, developer.get(row.formulaId))])
        }
        return { film, ei, cells }
      }),
  }
}
