import type { ChartRow, FormulaRow } from '@selvrin/core/contract'
import { wallOf } from './wall'

const row = (temperatureC: number, seconds: number, more: Partial<ChartRow> = {}): ChartRow =>
  ({
    id: `${temperatureC}${more.film ?? ''}`,
    version: 1,
    film: 'Millrace 400',
    formulaId: 'd',
    parts: [1, 1],
    ei: 400,
    temperatureC,
    seconds,
    source: 'house',
    note: '',
    by: '',
    tried: null,
    ...more,
  }) as ChartRow
const formulas = [{ id: 'd', body: { name: 'Soft borax', temperatureCoefficient: null, rangeC: [18, 24] } }] as unknown as FormulaRow[]
const only = (celsius: number, rows: ChartRow[]) => wallOf(rows, formulas, celsius).films[0]?.cells.get('d 1+1')?.[0]

test('a time stands as it is charted, is worked out between, and is not there beyond', () => {
  const rows = [row(20, 600), row(24, 420)]
  expect(only(20, rows)).toMatchObject({ seconds: 600, between: false })
  expect(only(22, rows)?.seconds).toBeCloseTo(Math.sqrt(600 * 420), 6)
  expect(only(22, rows)?.between).toBe(true)
  expect(only(30, rows)).toMatchObject({ seconds: null, says: expect.stringContaining('18 to 24') })
})

test('films stand by name and index, developers by name and dilution, sources apart, what was tried is marked', () => {
  const wall = wallOf(
    [
      row(20, 600, { film: 'Saltpan 50', ei: 50 }),
      row(20, 600),
      row(20, 660, { source: 'a visitor', tried: { at: 1, by: 'Odo', note: '' } }),
      row(20, 500, { parts: [1, 10] }),
      row(20, 400, { parts: [1] }),
    ],
    formulas,
    20,
  )
  expect(wall.films.map(({ film, ei }) => [film, ei])).toEqual([
    ['Millrace 400', 400],
    ['Saltpan 50', 50],
  ])
  expect(wall.columns.map((column) => column.parts)).toEqual(['stock', '1+1', '1+10'])
  expect(wall.films[0]?.cells.get('d 1+1')?.map((cell) => [cell.seconds, cell.tried])).toEqual([
    [600, false],
    [660, true],
  ])
})
