import fc from 'fast-check'
import type { z } from 'zod'
import { aPaper, aPrint, aSetup, aStrip, anEnlarger } from '../../samples'
import type { Wedge } from '../filters'
import { paperCost } from './cost'
import { nextTry, printOfStrip, stripAround, type FilterWay } from './judged'
import { movedPrint } from './moved'
import { requireTry } from './requireTry'
import { enlargerBody, paperBoxBody, trySetup } from './room'
import { printPlan, type PrintFilter, type PrintSaid, type WholeTry } from './tries'

const set: FilterWay = { by: 'set' }
const secondsOf = (print: WholeTry): number[] => print.exposures.map((one) => Number(one.seconds.toFixed(2)))
const filtered = (filter: PrintFilter, seconds = 10): WholeTry => ({ ...aPrint, exposures: [{ seconds, filter }] })
const split: WholeTry = {
  kind: 'print',
  exposures: [
    { seconds: 6, filter: { kind: 'set', grade: '00' } },
    { seconds: 8, filter: { kind: 'set', grade: '5' } },
  ],
  places: [{ name: 'sky', stops: 1, exposure: 0 }],
}

test('a strip gives the print its band says, on top of what it had before', () => {
  expect(secondsOf(printOfStrip({ ...aStrip, chosen: [2] }))).toEqual([16])
  expect(secondsOf(printOfStrip({ ...aStrip, chosen: [2, 3], under: split.exposures.slice(0, 1) }))).toEqual([6, 19.03])
  expect(() => printOfStrip(aStrip)).toThrow(/Choose the band/)
  const around = stripAround(10, { kind: 'none' })
  expect(printPlan.parse(around)).toEqual(around)
  expect(secondsOf(printOfStrip({ ...around, chosen: [3] }))).toEqual([10])
})

test('what is said of a print makes the next: darker, harder, more in a place, and why', () => {
  const print = { ...filtered({ kind: 'set', grade: '3.5' }), places: [{ name: 'sky', stops: 0.5, exposure: 0 }] }
  const { print: next, changes } = nextTry(
    print,
    [
      { of: 'place', name: 'sky', stops: -0.25, exposure: 0 },
      { of: 'print', stops: Math.log2(1.2) },
      { of: 'grade', halves: 1 },
    ],
    set,
  )
  // grade 4 wants twice the time, then a fifth more
  expect(next).toEqual({
    kind: 'print',
    exposures: [{ seconds: expect.closeTo(24, 9), filter: { kind: 'set', grade: '4' } }],
    places: [{ name: 'sky', stops: 0.25, exposure: 0 }],
  })
  expect(changes.map((one) => one.says)).toEqual([
    'half a grade harder, for which the time is ×2.00',
    'the whole +20 % (+0.26 stop)',
    'sky −0.25 stop, +0.25 in all',
  ])
  // taken back as a whole it is no place any more
  expect(nextTry(next, [{ of: 'place', name: 'sky', stops: -0.25, exposure: 0 }], set).print.places).toEqual([])
})

test('a split grade is judged in its exposures; paper of one grade has no other', () => {
  const { print, changes } = nextTry(split, [{ of: 'exposure', exposure: 1, stops: 1 }], set)
  expect([secondsOf(print), changes[0]?.says]).toEqual([[6, 16], 'the hard exposure +100 % (+1.00 stop)'])
  expect(() => nextTry(split, [{ of: 'grade', halves: 1 }], set)).toThrow(/split grade/)
  expect(() => nextTry(split, [{ of: 'exposure', exposure: 2, stops: 1 }], set)).toThrow(/no such exposure/)
  expect(() => nextTry(filtered({ kind: 'none' }), [{ of: 'grade', halves: 1 }], set)).toThrow(/one grade/)
})

test('a head goes by its table until it has wedges of its own', () => {
  const head: PrintFilter = { kind: 'dials', y: 0, m: 0, grade: '2' }
  const byTable = nextTry(filtered(head), [{ of: 'grade', halves: 2 }], { by: 'table', kind: 'single', max: 170 })
  expect(byTable.print.exposures).toEqual([{ seconds: 10, filter: { kind: 'dials', y: 0, m: 45, grade: '3' } }])
  const wedges: Wedge[] = [
    { y: 0, m: 0, range: 104, speed: 200 },
    { y: 0, m: 60, range: 84, speed: 100 },
  ]
  const byWedge = nextTry(filtered(head), [{ of: 'grade', halves: 1 }], { by: 'wedges', wedges, key: 'middle' })
  expect(byWedge.print.exposures[0]).toMatchObject({ filter: { y: 0, m: 30 } })
  expect(byWedge.print.exposures[0]?.seconds).toBeCloseTo((10 * 200) / 150, 9)
  expect(() => nextTry(filtered(head), [{ of: 'grade', halves: 6 }], { by: 'wedges', wedges, key: 'middle' })).toThrow(/outside the wedges/)
  expect(() => nextTry(filtered({ ...head, grade: null }), [{ of: 'grade', halves: 1 }], set)).toThrow(/Nobody knows/)
})

test('a judgement and its opposite are the print it was, and places scale with their exposure', () => {
  const stops = fc.double({ min: -2, max: 2, noNaN: true })
  const one: fc.Arbitrary<PrintSaid[]> = fc.array(
    fc.oneof(
      stops.map((s): PrintSaid => ({ of: 'print', stops: s })),
      stops.map((s): PrintSaid => ({ of: 'place', name: 'sky', stops: s, exposure: 0 })),
    ),
    { maxLength: 4 },
  )
  fc.assert(
    fc.property(one, (said) => {
      const there = nextTry(split, said, set).print
      const back = nextTry(
        there,
        said.map((each) => ({ ...each, stops: -(each as { stops: number }).stops }) as PrintSaid),
        set,
      ).print
      expect(back.exposures.map((each) => each.seconds)).toEqual(split.exposures.map((each) => expect.closeTo(each.seconds, 6)))
      expect(back.places.find((place) => place.name === 'sky')?.stops ?? 0).toBeCloseTo(1, 6)
    }),
  )
})

test('from its own record at another size, on another paper, by what was matched since', () => {
  const to = { m: 8, lensN: 5.6, paper: { name: 'Loft fibre', speed: 160, dryDown: 0.1 } }
  const { print, factors, findings } = movedPrint(aPrint, { from: aSetup, to, matched: [{ name: 'developer', factor: 1.25 }] })
  const all = 3.24 * 0.5 * (250 / 160) * (0.9 / 0.98) * 1.25
  expect(factors.map((each) => each.name)).toEqual(['enlargement', 'lens stop', 'paper', 'drying', 'developer'])
  expect(print.exposures[0]?.seconds).toBeCloseTo(10 * all, 6)
  expect([print.places, findings]).toEqual([aPrint.places, []])
  const unmeasured = movedPrint(aPrint, { from: aSetup, to: { ...to, m: 30, paper: { ...to.paper, speed: null } }, matched: [] })
  expect(unmeasured.findings.map((each) => each.rule)).toEqual(['print-paper-speed', 'print-new-strip'])
  expect(movedPrint(aPrint, { from: aSetup, to: aSetup, matched: [] })).toEqual({ print: aPrint, factors: [], findings: [] })
})

test('paper costs what its box did', () => {
  const box = { widthCm: 20, heightCm: 25, sheets: 25, price: 30 }
  expect([paperCost(box, 1.25), paperCost({ ...box, price: null }, 1)]).toEqual([1.5, null])
})

test('a try is exposed with what paper and enlarger have', () => {
  const code = (filter: PrintFilter, paper: object = {}, filters: object = {}): string | undefined => {
    try {
      requireTry(filtered(filter), { paper: { ...aPaper, ...paper }, enlarger: { ...anEnlarger, ...filters } })
    } catch (error) {
      return (error as { code: string }).code
    }
    return undefined
  }
  const head = { filters: { kind: 'single', max: 170 } }
  const dials: PrintFilter = { kind: 'dials', y: 0, m: 45, grade: '3' }
  expect([code({ kind: 'set', grade: '2' }), code({ kind: 'none' }), code(dials, {}, head)]).toEqual([undefined, undefined, undefined])
  expect([code({ kind: 'set', grade: '2' }, { grade: '3' }), code(dials), code({ kind: 'set', grade: '2' }, {}, head)]).toEqual([
    'one-grade',
    'other-filters',
    'other-filters',
  ])
  expect([code({ ...dials, m: 171 }, {}, head), code({ ...dials, y: 5 }, {}, head)]).toEqual(['dial-range', 'one-dial'])
  expect(() =>
    requireTry({ ...aPrint, places: [{ name: 'sky', stops: 1, exposure: 1 }] }, { paper: aPaper, enlarger: anEnlarger }),
  ).toThrow(/not there/)
})

test('what is out of all bounds is refused in a sentence', () => {
  const id = '01890012-0000-7000-8000-000000000001'
  const setup = { boxId: id, enlargerId: id, m: 6, lensN: 8, developer: '' }
  const says = (schema: z.ZodType, value: unknown): string | undefined => schema.safeParse(value).error?.issues[0]?.message
  expect([
    says(trySetup, { ...setup, m: 1388 }),
    says(trySetup, { ...setup, lensN: 0.1 }),
    says(printPlan, { ...aPrint, exposures: [{ seconds: 5000, filter: { kind: 'none' } }] }),
    says(paperBoxBody, { widthCm: 24, heightCm: 30, sheets: 2.5, price: null, batch: '' }),
    says(enlargerBody, { ...anEnlarger, lagS: 3 }),
  ]).toEqual([
    'A picture is 0.05 to 100 times as large as its negative.',
    'A lens stop is f/0.7 to f/128.',
    'An exposure takes an hour at most.',
    'A box has whole sheets.',
    'A lamp’s lag is 0 to 2 s.',
  ])
})
