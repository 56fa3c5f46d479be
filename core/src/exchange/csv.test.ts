import fc from 'fast-check'
import { fromCsv, toCsv } from './csv'

const cell = fc.string({ maxLength: 30 }).map((text) => text.trim())

test('whatever stands in a cell comes back as it was: quotes, commas, lines, umlauts, formulas', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ film: cell.filter((text) => text !== ''), formula: cell, note: cell }), { minLength: 1, maxLength: 5 }),
      (rows) => {
        const back = fromCsv('chart', toCsv('chart', rows)).map(({ record }) => ({
          film: record.film,
          formula: record.formula ?? '',
          note: record.note ?? '',
        }))
        expect(
          back.map((row) => Object.fromEntries(Object.entries(row).map(([key, text]) => [key, String(text).replace(/\r\n|\r/g, '\n')]))),
        ).toEqual(rows.map((row) => Object.fromEntries(Object.entries(row).map(([key, text]) => [key, text.replace(/\r\n|\r/g, '\n')]))))
      },
    ),
  )
})

test('a formula stands on as many lines as it has additions, and a line says where it began', () => {
  const formula = (name: string, ...chemicals: string[]) => ({
    name,
    family: 'other',
    makes: '1 L',
    additions: chemicals.map((chemical) => ({ chemical, amount: '1 g' })),
  })
  const text = toCsv('formulas', [
    formula('One', 'metol', 'sodium-sulfite', 'borax-decahydrate'),
    formula('Two', 'citric-acid'),
    formula('None'),
  ])
  expect(text.split('\r\n')).toHaveLength(6)
  const back = fromCsv('formulas', text)
  expect(back.map(({ line, record }) => [line, record.name, (record.additions as unknown[]).length])).toEqual([
    [2, 'One', 3],
    [5, 'Two', 1],
    [6, 'None', 0],
  ])
})

test('columns in another order, other separators, a byte-order mark and empty lines are read all the same', () => {
  const wanted = [{ line: 2, record: { chemical: 'metol', holds: '5 g', place: 'attic' } }]
  for (const text of [
    'place,holds,chemical\nattic,5 g,metol\n\n',
    '\uFEFFplace;holds;chemical\r\nattic;5 g;metol',
    'Place\tHolds\tChemical\nattic\t5 g\tmetol',
  ])
    expect(fromCsv('jars', text)).toEqual(wanted)
})
