import fc from 'fast-check'
import Papa from 'papaparse'
import { yearCsv } from '../exchange/yearCsv'
import { wasteFamilies } from './drumIds'
import { wasteYear, type YearLine } from './year'

const zone = 'Europe/Lisbon'
const line = fc.record({
  at: fc.integer({ min: Date.UTC(2025, 11, 20), max: Date.UTC(2027, 0, 10) }),
  family: fc.constantFrom(...wasteFamilies),
  ml: fc.integer({ min: 1, max: 20_000 }),
  grams: fc.integer({ min: 1, max: 21_000 }),
  silverG: fc.integer({ min: 0, max: 60 }),
  drain: fc.boolean(),
})
const total = (values: number[]): number => values.reduce((sum, one) => sum + one, 0)

test('months add up to the year, and the year to its lines: nothing is lost, nothing counts twice', () => {
  fc.assert(
    fc.property(fc.array(line, { maxLength: 60 }), (lines: YearLine[]) => {
      const years = [2025, 2026, 2027].map((year) => wasteYear(lines, year, zone))
      for (const rows of years)
        for (const row of rows) {
          expect(total(row.months.map((one) => one.ml))).toBe(row.ml)
          expect(total(row.months.map((one) => one.grams))).toBe(row.grams)
        }
      const all = years.flat()
      expect(total(all.map((row) => row.ml))).toBe(total(lines.map((one) => one.ml)))
      expect(total(all.map((row) => row.silverG))).toBe(total(lines.map((one) => one.silverG)))
    }),
  )
})

test('a line is of the month its darkroom has, not of another zone’s', () => {
  const at = (text: string, ml: number): YearLine => ({ at: Date.parse(text), family: 'sil', ml, grams: ml, silverG: 0, drain: false })
  // midnight of the year, and of a summer's month
  const lines = [at('2025-12-31T23:59:00Z', 1), at('2026-01-01T00:01:00Z', 2), at('2026-06-30T23:30:00Z', 4)]
  const [row] = wasteYear(lines, 2026, zone)
  expect([row?.months[0]?.ml, row?.months[5]?.ml, row?.months[6]?.ml, row?.ml]).toEqual([2, 0, 4, 6])
})

test('the table says the same as the page, line by line', () => {
  const rows = wasteYear(
    [
      { at: Date.UTC(2026, 2, 3), family: 'dev', ml: 1500, grams: 1575, silverG: 0, drain: false },
      { at: Date.UTC(2026, 4, 3), family: 'sil', ml: 2000, grams: 2100, silverG: 4.2, drain: false },
      { at: Date.UTC(2026, 4, 4), family: 'sil', ml: 300, grams: 300, silverG: 0, drain: true },
    ],
    2026,
    zone,
  )
  // past midnight in the darkroom, not in UTC
  const at = Date.UTC(2026, 6, 31, 23, 30)
  const csv = yearCsv(
    rows,
    {
      recoveries: [{ at, method: 'electrolysis', silverG: 9.5 }],
      pickups: [{ at, number: 2, contractor: 'Low Tide Carriers', licence: 'L-7', receipt: 'R-1', families: ['dev'], kg: 18.25 }],
      incidents: [{ at, what: '=a jug', family: 'sil', ml: 250 }],
    },
    { year: 2026, zone },
  )
  const { data } = Papa.parse<string[]>(csv)
  expect(data.slice(1)).toEqual([
    ['into drums', '2026-03', 'dev', 'developers', '1.5', '1575', ''],
    ['into drums', '2026-05', 'sil', 'fixers and bleach-fixes', '2', '2100', ''],
    ['down the drain', '2026-05', 'sil', 'fixers and bleach-fixes', '0.3', '300', ''],
    ['into drums, the year', '2026', 'dev', 'developers', '1.5', '1575', '0'],
    ['into drums, the year', '2026', 'sil', 'fixers and bleach-fixes', '2', '2100', '4.2'],
    ['down the drain, the year', '2026', 'sil', 'fixers and bleach-fixes', '0.3', '300', '0'],
    ['silver recovered', '2026-08-01', '', 'electrolysis', '', '', '9.5'],
    ['collected', '2026-08-01', 'dev', 'collection 2, Low Tide Carriers, licence L-7, receipt R-1', '', '18250', ''],
    // a spreadsheet would take it for a formula
    ['spill', '2026-08-01', 'sil', expect.not.stringMatching(/^=/), '0.25', '', ''],
  ])
})
