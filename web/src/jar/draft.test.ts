import type { Jar } from '@selvrin/core/contract'
import { emptyJar, jarDraft, readJar } from './draft'

const jar: Jar = {
  id: 'j',
  version: 1,
  code: 'ABC234',
  chemical: 'potassium-hydroxide',
  grams: 500,
  lot: '26-A',
  place: 'low shelf',
  openedAt: Date.parse('2026-04-14T12:00:00Z'),
  assay: 0.855,
  pricePerKg: 14.5,
  reorderG: 100,
  storage: 'alkalis',
  spoonG: null,
  sheet: null,
}

test('what is known of a jar goes into the fields and comes back the same', () => {
  const { facts, problems } = readJar(jarDraft(jar))
  const { id: _id, version: _version, code: _code, chemical: _chemical, grams: _grams, sheet: _sheet, ...known } = jar
  expect(problems).toEqual({})
  expect(facts).toEqual(known)
})
test('empty fields are what is not known', () => {
  expect(readJar(emptyJar()).facts).toEqual({
    lot: '',
    place: '',
    openedAt: null,
    assay: null,
    pricePerKg: null,
    reorderG: null,
    spoonG: null,
    storage: null,
  })
})
test.each([
  ['85 %', 0.85],
  ['85', 0.85],
  ['0.85', 0.85],
  ['97,5 %', 0.975],
])('an assay of %s is a share of %d', (assay, share) => {
  expect(readJar({ ...emptyJar(), assay }).facts?.assay).toBeCloseTo(share, 9)
})
test.each([
  ['assay', '0'],
  ['assay', '200 %'],
  ['assay', 'pure'],
  ['opened', '14.4.2026'],
  ['opened', '2026-13-40'],
  ['price', '12 EUR'],
  ['price', '-3'],
] as const)('a wrong %s (%s) is said at its field', (field, text) => {
  const { facts, problems } = readJar({ ...emptyJar(), [field]: text })
  expect(facts).toBeNull()
  expect(Object.keys(problems)).toEqual([field])
})
