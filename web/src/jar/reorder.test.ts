import type { FormulaRow, Jar } from '@selvrin/core/contract'
import { byPlace, enoughFor } from './reorder'

const jar = (chemical: string, grams: number, more: Partial<Jar> = {}): Jar => ({
  id: `${chemical} ${grams}`,
  version: 1,
  code: 'ABCDEF',
  chemical,
  grams,
  lot: '',
  place: 'shelf',
  openedAt: null,
  assay: null,
  pricePerKg: null,
  reorderG: null,
  storage: null,
  spoonG: null,
  sheet: null,
  ...more,
})
const formula = (name: string, grams: number) =>
  ({ id: name, body: { name, finalMl: 1000, startMl: 750, mixC: 40, additions: [{ chemical: 'metol', grams }] } }) as unknown as FormulaRow

test('says for which formula it runs out first', () => {
  const found = enoughFor('metol', [jar('metol', 20)], [formula('weak', 2), formula('strong', 7.5)])
  expect(found.map((one) => [one.formula.id, one.batches])).toEqual([
    ['strong', 2],
    ['weak', 10],
  ])
})
test('jars stand by place; what has none stands together', () => {
  expect(
    byPlace([jar('metol', 1, { place: '' }), jar('glycin', 1), jar('borax-decahydrate', 1)]).map(([place, list]) => [place, list.length]),
  ).toEqual([
    ['no place', 1],
    ['shelf', 2],
  ])
})
