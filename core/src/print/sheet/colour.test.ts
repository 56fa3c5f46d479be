import { aColourWay, aPaper, aPrint, aSetup, anEnlarger } from '../../samples'
import { weightsFor } from '../calibration'
import { filterWayFor } from '../head'
import { nextTry } from './judged'
import { movedPrint } from './moved'
import type { ColourWay } from './recoloured'
import { requireTry } from './requireTry'
import type { PrintFilter, WholeTry } from './tries'
import { filterSays, saidSays } from './words'

const pack = (y: number, m: number, c = 0): PrintFilter => ({ kind: 'pack', y, m, c })
const through = (filter: PrintFilter, seconds = 10): WholeTry => ({ ...aPrint, exposures: [{ seconds, filter }], places: [] })
const slides: ColourWay = { ...aColourWay, material: 'reversal' }

test('a cast makes the next print: filters, time, and why', () => {
  const { print, changes } = nextTry(through(pack(60, 50)), [{ of: 'cast', cast: 'red', units: 10 }], aColourWay)
  expect(print.exposures).toEqual([{ seconds: expect.closeTo(11.75, 2), filter: pack(70, 60) }])
  expect(changes.map((one) => one.says)).toEqual([
    'too red by 10: +10 Y +10 M',
    'paper for negatives: what it has too much of goes into the filter, or less of its opposite',
    'the filters take ×1.17 of the time',
  ])
  expect(nextTry(through(pack(60, 50)), [{ of: 'cast', cast: 'red', units: 10 }], slides).print.exposures[0]?.filter).toEqual(pack(50, 40))
})

test('several casts at once, what a photograph says, and darker with them', () => {
  const { print, changes } = nextTry(
    through(pack(5, 50)),
    [
      { of: 'print', stops: 1 },
      { of: 'cast', cast: 'blue', units: 10 },
      { of: 'turn', y: 0, m: -4 },
    ],
    aColourWay,
  )
  expect(print.exposures[0]?.filter).toEqual(pack(0, 51, 5))
  expect(changes.map((one) => one.says)).toContain('+5 Y +5 M +5 C: no dial stands below 0')
  // twice the time on top of what the filters take
  expect(print.exposures[0]?.seconds).toBeCloseTo(20 * 10 ** ((-5 * 0.1 + 1 * 0.6 + 5 * 0.3) / 100), 6)
  expect(() =>
    nextTry(
      through(pack(5, 50)),
      [
        { of: 'cast', cast: 'blue', units: 5 },
        { of: 'cast', cast: 'yellow', units: 5 },
      ],
      aColourWay,
    ),
  ).toThrow(/one of them/)
})

test('paper for slides gets darker by less light', () => {
  const { print, changes } = nextTry(through(pack(30, 20)), [{ of: 'print', stops: 0.5 }], slides)
  expect(print.exposures[0]?.seconds).toBeCloseTo(10 * 2 ** -0.5, 6)
  expect(changes[0]?.says).toMatch(/−0.50 stop/)
})

test('loose filters cost light sheet by sheet', () => {
  const { print } = nextTry(through(pack(60, 50)), [{ of: 'cast', cast: 'red', units: 10 }], { ...aColourWay, loose: true })
  // a sheet more: 40 + 20 and 40 + 10 become 40 + 20 + 10 and 40 + 20
  expect(print.exposures[0]?.seconds).toBeCloseTo(11.749 * 1.1, 2)
})

test('grades are not for colour, nor colours for grey', () => {
  expect(() => nextTry(through(pack(60, 50)), [{ of: 'grade', halves: 1 }], aColourWay)).toThrow(/no grades/)
  expect(() => nextTry(aPrint, [{ of: 'cast', cast: 'red', units: 10 }], { by: 'set' })).toThrow(/prints grey/)
  const colour = { paper: { ...aPaper, name: 'Ebb gloss', material: 'negative' as const }, enlarger: anEnlarger }
  expect(requireTry(through(pack(60, 50)), colour)).toBeUndefined()
  expect(() => requireTry(aPrint, colour)).toThrow(/yellow, magenta and cyan/)
  expect(() => requireTry(through(pack(60, 50)), { paper: aPaper, enlarger: anEnlarger })).toThrow(/prints grey/)
  const head = { ...anEnlarger, filters: { kind: 'single' as const, max: 130 } }
  expect(requireTry(through(pack(60, 50)), { ...colour, enlarger: head })).toBeUndefined()
  expect(() => requireTry(through(pack(60, 150)), { ...colour, enlarger: head })).toThrow(/count to 130/)
})

test('another batch of the same paper takes its label', () => {
  const paper = { ...aSetup.paper, dryDown: 0 }
  const from = { ...aSetup, paper: { ...paper, label: { y: 5, m: -10, factor: 1.1 } } }
  const to = { ...aSetup, paper: { ...paper, label: { y: -5, m: 5, factor: 0.95 } } }
  const moved = movedPrint(through(pack(60, 50), 12), { from, to, matched: [] })
  expect(moved.print.exposures).toEqual([{ seconds: expect.closeTo(12.46, 2), filter: pack(50, 65) }])
  expect(moved.factors).toEqual([{ name: 'batch label', factor: expect.closeTo(1.0383, 4) }])
  // a box that says nothing is taken to be like the other
  expect(movedPrint(through(pack(60, 50), 12), { from, to: { ...aSetup, paper }, matched: [] }).factors).toEqual([])
})

test('what a dial costs goes by the newest patch of that enlarger and paper', () => {
  const patch = { kind: 'filters' as const, enlargerId: 'e', paperId: null, dial: 'm' as const, units: 20, beforeS: 10, note: '' }
  const all = [
    { at: 9, body: { ...patch, afterS: 10 * 10 ** 0.1 } },
    { at: 5, body: { ...patch, afterS: 30 } },
    { at: 7, body: { ...patch, dial: 'y' as const, paperId: 'another', afterS: 30 } },
  ]
  expect(weightsFor('e', 'p', all)).toEqual({ y: 0.1, m: expect.closeTo(0.5, 9), c: 0.3 })
  expect(filterWayFor({ id: 'e', filters: { kind: 'set' } }, { id: 'p', material: 'negative' }, all)).toMatchObject({ loose: true })
})

test('in words', () => {
  expect(filterSays(pack(60, 52.5))).toBe('60 Y 52.5 M')
  expect(filterSays(pack(0, 55, 5))).toBe('0 Y 55 M 5 C')
  expect(saidSays({ of: 'cast', cast: 'cyan', units: 5 }, 1)).toBe('too cyan by 5')
  expect(saidSays({ of: 'turn', y: 4, m: -2 }, 1)).toBe('by its photograph +4 Y −2 M')
})
