import type { Jar } from '@selvrin/core/contract'
import { differing, factsOf } from './facts'

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

test('two accounts of a jar are told where they differ, and only there', () => {
  expect(differing(jar, factsOf(jar))).toEqual([])
  expect(differing(jar, { ...factsOf(jar), lot: '', assay: 0.9, openedAt: Date.parse('2026-05-01T12:00:00Z'), spoonG: 4.2 })).toEqual([
    { name: 'Lot', theirs: '26-A', mine: 'nothing' },
    { name: 'Opened', theirs: '2026-04-14', mine: '2026-05-01' },
    { name: 'Assay', theirs: '85.5 %', mine: '90 %' },
    { name: 'Spoon, g', theirs: 'nothing', mine: '4.2' },
  ])
})
