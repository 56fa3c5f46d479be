import type { FormulaRow } from '../contract/formula'
import type { Jar } from '../contract/jar'
import { fromCsv, toCsv } from './csv'
import { readFile, understander } from './understand'
import type { Present } from './understood'
import { writeFile } from './write'

const id = (n: number) => `0198f000-0000-7000-8000-00000000000${n}`
let ids = 0
const newId = () => id(++ids % 10)
const borax = {
  id: id(1),
  version: 3,
  body: {
    name: 'Soft borax developer',
    family: 'film-developer',
    purpose: '',
    finalMl: 1000,
    startMl: 750,
    mixC: 50,
    additions: [
      { chemical: 'metol', grams: 2 },
      { chemical: 'sodium-sulfite', grams: 100, note: 'In portions.' },
    ],
    use: {
      school: 'one-shot',
      capacityRollsPerL: null,
      keeping: { fullDays: 180, halfDays: 60, workingDays: 1 },
      dilutions: [[1], [1, 1]],
      minConcentrateMlPerRoll: 100,
    },
    usualS: null,
    temperatureCoefficient: null,
    rangeC: [18, 26],
    note: '=cmd()',
  },
} as unknown as FormulaRow
const jar = {
  id: id(2),
  version: 1,
  code: 'ABC234',
  chemical: 'metol',
  grams: 250,
  lot: '26-A',
  place: 'cabinet',
  openedAt: null,
  assay: null,
  pricePerKg: 95,
  reorderG: 100,
  storage: null,
  spoonG: null,
  sheet: null,
} as Jar
const present: Present = {
  formulas: [borax],
  jars: [jar],
  chart: [
    {
      id: id(3),
      film: 'Weir 200',
      formulaId: id(1),
      parts: [1, 1],
      ei: 200,
      temperatureC: 20,
      seconds: 660,
      source: 'wall chart',
      note: '',
      by: '',
      version: 1,
      tried: null,
    },
  ],
}
const understand = (kind: 'formulas' | 'jars' | 'chart', text: string) => readFile(kind, text).map(understander(kind, present, newId))

test('a spreadsheet never runs what a cell begins with, and it comes back as it was', () => {
  const text = writeFile('formulas', 'csv', present)
  expect(text).toContain("'=cmd()")
  expect(fromCsv('formulas', text)[0]?.record.note).toBe('=cmd()')
  expect(toCsv('chart', [{ film: '+1' }])).toContain("'+1")
})

test('amounts in any unit, decimal comma, another order of columns and semicolons', () => {
  const [line] = understand('chart', 'time;formula;film;temperature;ei;dilution\n11 min;soft borax developer;Weir 400;68 °F;400;1+1')
  expect(line).toMatchObject({ state: 'new', says: 'Weir 400 at EI 400 in soft borax developer 1+1: 11:00 at 20.0 °C' })
  const [oz] = understand('jars', 'chemical,holds\nMetol,"2,5 oz"')
  expect(oz?.row).toMatchObject({ kind: 'jars', version: null })
  expect(oz?.row?.kind === 'jars' && oz.row.grams).toBeCloseTo(70.87, 2)
})

test('says what it would change, keeps what a file leaves blank, and knows the same again', () => {
  const [changed] = understand('chart', 'film,formula,dilution,ei,temperature,time\nWeir 200,Soft borax developer,1+1,200,20 °C,11:30')
  expect(changed).toMatchObject({
    state: 'changed',
    changes: [{ what: 'time', from: '11:00', to: '11:30' }],
    row: { id: id(3), isNew: false, body: { source: 'wall chart' } },
  })
  const [same] = understand('jars', 'code,chemical,holds\nabc234,metol,250 g')
  expect(same).toMatchObject({ state: 'same', row: null })
  const [more] = understand('jars', 'code,chemical,holds\nABC234,metol,300 g')
  expect(more).toMatchObject({ state: 'changed', row: { version: 1, grams: 300, body: { pricePerKg: 95 } } })
})

test.each([
  ['chart', 'film,formula,dilution,ei,temperature,time\nA,Nobody’s,1+1,100,20,9:30', /no formula “Nobody’s”/],
  ['chart', 'film,formula,dilution,ei,temperature,time\nA,Soft borax developer,1:4,100,20,9:30', /two ways/],
  ['chart', 'film,formula,dilution,ei,temperature,time\nA,Soft borax developer,1+1,100,20,9.5', /minutes or seconds/],
  ['chart', 'film,formula,dilution,ei,temperature,time\nA,Soft borax developer,1+1,fast,20,9:30', /ei/],
  ['jars', 'chemical,holds\nunobtainium,5 g', /not in the catalogue/],
  ['jars', 'chemical,holds\nmetol,', /holds/],
  ['jars', 'code,chemical,holds\nZZZ999,metol,5 g', /No jar here/],
  ['jars', 'chemical,holds,opened\nmetol,5 g,14.4.2026', /2026-04-14/],
] as const)('a wrong line of %s is said and written nowhere', (kind, text, words) => {
  const [line] = understand(kind, text)
  expect(line).toMatchObject({ state: 'wrong', row: null })
  expect(line?.problems.join(' ')).toMatch(words)
})

test('the same row twice in one file is wrong the second time', () => {
  const row = 'Weir 800,Soft borax developer,1+1,800,20 °C,12:00'
  expect(understand('chart', `film,formula,dilution,ei,temperature,time\n${row}\n${row}`).map((line) => line.state)).toEqual([
    'new',
    'wrong',
  ])
})

test('what is no such file at all is refused whole', () => {
  expect(() => readFile('chart', 'film,favourite colour\nA,red')).toThrow(expect.objectContaining({ code: 'unknown-column' }))
  expect(() => readFile('jars', '{"format":"selvrin-chart","version":1,"rows":[]}')).toThrow(
    expect.objectContaining({ code: 'not-this-format' }),
  )
  expect(() => readFile('jars', '{"format":')).toThrow(expect.objectContaining({ code: 'not-this-format' }))
})

test('a formula of parts finds its parts by name, also those earlier in the same file', () => {
  const parts = JSON.parse(writeFile('formulas', 'json', present)) as { rows: Record<string, unknown>[] }
  const base = { ...parts.rows[0], additions: [], note: '' }
  const rows = [
    { ...base, name: 'Part A' },
    {
      ...base,
      name: 'Working',
      combine: [
        { part: 'A', formula: 'part a' },
        { part: 'B', formula: 'Soft borax developer' },
      ],
    },
    {
      ...base,
      name: 'Lost',
      combine: [
        { part: 'A', formula: 'Part Z' },
        { part: 'B', formula: 'Part A' },
      ],
    },
  ]
  const lines = understand('formulas', JSON.stringify({ ...parts, rows }))
  expect(lines.map((line) => line.state)).toEqual(['new', 'new', 'wrong'])
  expect(lines[2]?.problems[0]).toContain('Part Z')
})
