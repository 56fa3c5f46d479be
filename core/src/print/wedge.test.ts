import fc from 'fast-check'
import { aPrint, someWedges } from '../samples'
import { gradeNear, grades, rangeOfGrade } from './grade'
import { filterWayFor, requireWedges } from './head'
import type { WedgesBody } from './calibration'
import { nextTry, type FilterWay } from './sheet/judged'
import type { PrintFilter } from './sheet/tries'
import { filterByWedges, wedgeOf } from './wedge'

const head = { name: 'Tall bench', filters: { kind: 'single', max: 170 } } as const
const wedges = someWedges.readings.map((one) => wedgeOf(one, someWedges.stepD))
const way: Extract<FilterWay, { by: 'wedges' }> = { by: 'wedges', wedges, key: 'middle' }
const at = (m: number): PrintFilter => ({ kind: 'dials', y: 0, m, grade: null })

test('a wedge says range and speed by its steps, and a longer exposure is a slower setting', () => {
  expect(wedges.map((one) => Number(one.range.toFixed(2)))).toEqual([150, 105, 75])
  // the same grey step in twice the time
  expect((wedges[1]?.speed ?? 0) / (wedges[2]?.speed ?? 1)).toBeCloseTo(2, 9)
  // a step denser by 0.15 let through, in the same time: 10^0.15 as fast
  const [slow, fast] = [7, 8].map((grey) => wedgeOf({ y: 0, m: 0, seconds: 10, black: 3, grey, white: 11, light: 10 }, 0.15))
  expect((fast?.speed ?? 0) / (slow?.speed ?? 1)).toBeCloseTo(10 ** 0.15, 9)
  expect((fast?.lightSpeed ?? 0) / (fast?.speed ?? 1)).toBeCloseTo(10 ** 0.3, 9)
  expect(() => wedgeOf({ y: 0, m: 0, seconds: 10, black: 8, grey: 7, white: 11, light: null }, 0.15)).toThrow(/black comes first/)
  expect(() => wedgeOf({ y: 0, m: 0, seconds: 10, black: 3, grey: 7, white: 11, light: 6 }, 0.15)).toThrow(/light tone lies/)
})

test('grades stand in the middle of their spans, and the nearest is found again', () => {
  expect(grades.map(rangeOfGrade)).toEqual([183, 155.5, 127.5, 116, 104.5, 95.75, 87, 79.5, 72, 64.5, 57])
  expect(grades.map((one) => gradeNear(rangeOfGrade(one)))).toEqual([...grades])
  expect(gradeNear(40)).toBeNull()
})

const grey = (id: string) => ({ id, material: 'black-and-white' as const })

test('a head goes by the newest wedges of its own on that paper, and by its table without', () => {
  const newer: WedgesBody = { ...someWedges, readings: someWedges.readings.slice(0, 2) }
  const all = [
    { at: 9, body: newer },
    { at: 5, body: someWedges },
  ]
  const byNewest = filterWayFor({ id: 'e', filters: head.filters }, grey('p'), all)
  expect(byNewest).toEqual({ by: 'wedges', key: 'middle', wedges: wedges.slice(0, 2) })
  for (const [id, paper] of [
    ['e', 'another'],
    ['another', 'p'],
    ['e', undefined],
  ] as const)
    expect(filterWayFor({ id, filters: head.filters }, paper && grey(paper), all)).toEqual({ by: 'table', kind: 'single', max: 170 })
  expect(filterWayFor({ id: 'e', filters: { kind: 'set' } }, grey('p'), all)).toEqual({ by: 'set' })
  // grade 2, by the wedges: near no filter, whose range is 105
  expect(filterByWedges('2', way)?.filter).toMatchObject({ kind: 'dials', y: 0, grade: '2', m: expect.closeTo(1.67, 2) })
  expect(filterByWedges('00', way)).toBeNull()
})

test('harder and back is the print it was, whatever the wedges', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 33, noNaN: true }), fc.integer({ min: 1, max: 2 }), (m, halves) => {
      const print = { ...aPrint, exposures: [{ seconds: 10, filter: at(m) }] }
      const harder = nextTry(print, [{ of: 'grade', halves }], way).print
      const back = nextTry(harder, [{ of: 'grade', halves: -halves }], way).print.exposures[0]
      expect(back?.seconds).toBeCloseTo(10, 6)
      expect(back?.filter).toMatchObject({ y: expect.closeTo(0, 6), m: expect.closeTo(m, 6) })
    }),
  )
  expect(
    nextTry({ ...aPrint, exposures: [{ seconds: 10, filter: at(0) }] }, [{ of: 'grade', halves: 1 }], way).print.exposures[0]?.filter,
  ).toMatchObject({
    grade: '2.5',
  })
})

test('wedges that say nothing of a head are refused', () => {
  const [first, second] = someWedges.readings as [WedgesBody['readings'][number], WedgesBody['readings'][number]]
  expect(requireWedges(someWedges, head)).toBeUndefined()
  expect(() => requireWedges(someWedges, { ...head, filters: { kind: 'set' } })).toThrow(/loose filters/)
  expect(() => requireWedges({ ...someWedges, readings: [first, { ...second, y: 90 }] }, head)).toThrow(/same setting/)
  expect(() => requireWedges(someWedges, { ...head, filters: { kind: 'single', max: 60 } })).toThrow(/count to 60/)
  expect(() => requireWedges({ ...someWedges, key: 'light' }, head)).toThrow(/light tone/)
})
