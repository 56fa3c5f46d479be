import Papa from 'papaparse'
import { dayOf } from '../evening/openOn'
import { wasteNames, type YearRow } from '../waste/year'
import { guard } from './csv'

/** What the year's table says beside the waste itself. Moments ms, silver g, masses kg. */
export interface YearBeside {
  recoveries: { at: number; method: string; silverG: number }[]
  pickups: { at: number; number: number; contractor: string; licence: string; receipt: string; families: string[]; kg: number }[]
  incidents: { at: number; what: string; family: string | null; ml: number | null }[]
}

const rounded = (value: number): string => String(Number(value.toFixed(2)))
/**
 * The year of the sink as a table for a spreadsheet: a line a family and month, then recoveries, collections and spills. Litres, g and kg, days as ISO 8601, of the darkroom's own zone as its months are.
 * @param zone IANA
 * @example
 * yearCsv([], { recoveries: [{ at: 0, method: 'electrolysis', silverG: 12.5 }], pickups: [], incidents: [] }, { year: 1970, zone: 'UTC' }).split('\r\n')[1] // → 'silver recovered,1970-01-01,,electrolysis,,,12.5'
 */
export function yearCsv(
  rows: YearRow[],
  { recoveries, pickups, incidents }: YearBeside,
  { year, zone }: { year: number; zone: string },
): string {
  const day = (at: number): string => dayOf(at, zone)
  const month = (i: number): string => `${year}-${String(i + 1).padStart(2, '0')}`
  const fields = ['kind', 'when', 'family', 'what', 'litres', 'grams', 'silver_g']
  const data = [
    ...rows.flatMap((row) =>
      row.months.flatMap((one, i) =>
        one.ml === 0
          ? []
          : [
              [
                row.drain ? 'down the drain' : 'into drums',
                month(i),
                row.family,
                wasteNames[row.family],
                rounded(one.ml / 1000),
                rounded(one.grams),
                '',
              ],
            ],
      ),
    ),
    ...rows.map((row) => [
      row.drain ? 'down the drain, the year' : 'into drums, the year',
      ...[String(year), row.family, wasteNames[row.family], rounded(row.ml / 1000), rounded(row.grams), rounded(row.silverG)],
    ]),
    ...recoveries.map((one) => ['silver recovered', day(one.at), '', one.method, '', '', rounded(one.silverG)]),
    ...pickups.map((one) => [
      ...['collected', day(one.at), one.families.join(' ')],
      ...[`collection ${one.number}, ${one.contractor}, licence ${one.licence}, receipt ${one.receipt}`, '', rounded(1000 * one.kg), ''],
    ]),
    ...incidents.map((one) => ['spill', day(one.at), one.family ?? '', one.what, one.ml === null ? '' : rounded(one.ml / 1000), '', '']),
  ].map((line) => line.map((value) => guard(value)))
  return Papa.unparse({ fields, data }, { newline: '\r\n' })
}
