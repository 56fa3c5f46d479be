import type { PrintTryRow } from '@selvrin/core/contract'
import { tryLines } from './printSheet'

const row = (plan: PrintTryRow['plan'], said: PrintTryRow['said'] = [], note = ''): PrintTryRow => ({
  ...{ id: 'try', version: 1, at: 0, by: 'Tilda', plan, sheets: 1, cost: null, said, note },
  setup: { boxId: 'box', enlargerId: 'enlarger', m: 4, lensN: 8, developer: '' },
})
const filter = { kind: 'set', grade: '2' } as const

test('a strip on paper says its bands and the one that was chosen, a print its times in three measures, its places and what was said', () => {
  const strip = row({
    kind: 'strip',
    steps: { by: 'stops', firstS: 8, stepStops: 0.5 },
    bands: 5,
    way: 'cover',
    filter,
    under: [],
    chosen: [2, 3],
  })
  expect(tryLines(strip, undefined)).toEqual(['5 bands, grade 2: 8.0 · 11.3 · 16.0 · 22.6 · 32.0 s', 'band 3 to 4: 19.0 s, grade 2'])
  const first = row({ kind: 'print', exposures: [{ seconds: 16, filter }], places: [] }, [{ of: 'print', stops: 0.263 }], 'thin sky')
  expect(tryLines(first, strip)).toEqual(['16.0 s, grade 2', 'said: darker +20 %', 'thin sky'])
  const second = row({
    kind: 'print',
    exposures: [{ seconds: 19.2, filter }],
    places: [
      { name: 'sky', stops: 1 / 3, exposure: 0 },
      { name: 'face', stops: -0.5, exposure: 0 },
    ],
  })
  expect(tryLines(second, first)).toEqual([
    '19.2 s, grade 2, +0.26 stop, +20 %',
    'burn in sky +0.33 stop = 5.0 s',
    'hold back face −0.50 stop = 5.6 s',
  ])
  const split = row({
    kind: 'print',
    exposures: [
      { seconds: 8, filter: { kind: 'set', grade: '00' } },
      { seconds: 5, filter: { kind: 'set', grade: '5' } },
    ],
    places: [],
  })
  expect(tryLines(split, undefined)).toEqual(['soft: 8.0 s, grade 00', 'hard: 5.0 s, grade 5'])
})
