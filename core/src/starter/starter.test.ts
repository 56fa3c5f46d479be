import { catalogue } from '../chemical/catalogue'
import type { FormulaBody } from '../contract/formula'
import type { ImportRow } from '../contract/import'
import type { Present } from '../exchange/understood'
import { checkFormula } from '../formula/checkFormula'
import type { Formula } from '../formula/formula'
import { pouredTogether } from '../formula/poured'
import { families } from '../mark/mark'
import { houseDefault } from './houseDefault'
import { asWritten, starterParts, understandStarter } from './starter'

let ids = 0
const newId = () => `01890000-0000-7000-8000-${String(++ids).padStart(12, '0')}`
const empty = (): Present => ({ formulas: [], jars: [], chart: [], shelves: [], tanks: [], bottles: [] })

/** An empty house after all parts were written, as the import writes them. */
function furnished(): { present: Present; rows: ImportRow[] } {
  let present = empty()
  const rows: ImportRow[] = []
  for (const part of starterParts) {
    const lines = understandStarter(part, present, newId, catalogue)
    expect(lines.filter((line) => line.state !== 'new')).toEqual([])
    const fresh = lines.flatMap((line) => (line.row ? [line.row] : []))
    rows.push(...fresh)
    present = asWritten(present, fresh)
  }
  return { present, rows }
}

test('every line is understood in an empty house, and every family has a formula', () => {
  const { present, rows } = furnished()
  expect(rows.length).toBe(starterParts.reduce((sum, part) => sum + part.rows.length, 0))
  expect(families.filter((family) => !present.formulas.some((row) => row.body.family === family))).toEqual([])
})

test('no house formula breaks a rule of mixing gravely or is warned of', () => {
  const found = furnished().present.formulas.flatMap(({ id, body }) =>
    checkFormula({ id, ...body } as Formula, catalogue)
      .filter((finding) => finding.severity !== 'advice')
      .map((finding) => `${body.name}: ${finding.message}`),
  )
  expect(found).toEqual([])
})

test('what is combined of parts never meets, and nor does what is coated together', () => {
  const { formulas } = furnished().present
  const named = (name: string) => formulas.find((row) => row.body.name === name) as (typeof formulas)[number]
  const meets = (parts: [string, number][]) =>
    pouredTogether(parts.map(([id, ml]) => ({ formula: { id, ...formulas.find((row) => row.id === id)?.body } as Formula, ml })))
  for (const { body } of formulas.filter((row) => row.body.combine))
    for (const dilution of body.use.dilutions)
      expect([body.name, meets((body.combine ?? []).map((part, i) => [part.formulaId, dilution[i] ?? 0]))]).toEqual([body.name, null])
  for (const metal of ['Palladium salt 15 %', 'Platinum salt 20 %'])
    expect(meets([['Iron A, ferric oxalate 27 %', 14], ['Iron B, ferric oxalate with chlorate', 8], [metal, 22]].map(([name, ml]) => [named(String(name)).id, Number(ml)]))).toBeNull() // prettier-ignore
  // the same check does find what must not be
  expect(meets([[named('Thiourea toner, part A').id, 500], [named('Sulfide toner').id, 500], [named('Citric stop bath, 1.5 %').id, 500]])).not.toBeNull() // prettier-ignore
})

test('everything says what it is: house default, and no temperature nobody measured', () => {
  const { present } = furnished()
  expect(present.formulas.filter((row) => !row.body.note.startsWith(houseDefault))).toEqual([])
  expect(present.chart.filter((row) => row.source !== houseDefault || row.tried !== null)).toEqual([])
  expect(present.shelves?.filter((row) => row.celsius !== null)).toEqual([])
  const colour = present.chart.filter((row) => row.film === 'Any colour negative film')
  expect(new Set(colour.map((row) => [row.parts.join('+'), row.temperatureC, row.seconds].join(' ')))).toEqual(new Set(['1+50 20 900']))
})

test('written once more nothing is to be written, and what a house has made its own is left as it is', () => {
  const { present } = furnished()
  const own = present.formulas[0] as { body: FormulaBody }
  own.body = { ...own.body, purpose: 'ours', note: '' }
  for (const part of starterParts)
    for (const line of understandStarter(part, present, newId, catalogue)) expect(line).toMatchObject({ state: 'same', row: null })
})
