import Papa from 'papaparse'
import { guard } from './csv'

/** A film of a run that was led by a member, as it stands in their history. Times s, temperatures °C, moments ms. */
export interface HistoryLine {
  run: number
  at: number
  state: string
  process: string
  tank: string
  film: string
  ei: number | null
  developer: string
  developedS: number | null
  temperatureC: number | null
  result: string | null
  note: string
}

/**
 * A member's own runs as a table for a spreadsheet: a line a film. Times s, temperatures °C, dates and times as ISO 8601.
 * @example
 * historyCsv([{ run: 7, at: 0, state: 'done', process: 'Monobath', tank: 'Tank 1', film: 'Millrace 400', ei: 400, developer: 'M1', developedS: 240, temperatureC: 20, result: 'right', note: '' }]).split('\r\n')[1] // → '7,1970-01-01T00:00:00.000Z,done,Monobath,Tank 1,Millrace 400,400,M1,240,20,right,'
 */
export function historyCsv(lines: HistoryLine[]): string {
  const fields = ['run', 'at', 'state', 'process', 'tank', 'film', 'ei', 'developer', 'developed_s', 'celsius', 'came_out', 'note']
  const data = lines.map((line) =>
    [
      ...[line.run, new Date(line.at).toISOString(), line.state, line.process, line.tank, line.film, line.ei],
      ...[line.developer, line.developedS, line.temperatureC, line.result, line.note],
    ].map((value) => guard(String(value ?? ''))),
  )
  return Papa.unparse({ fields, data }, { newline: '\r\n' })
}
