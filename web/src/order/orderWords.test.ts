import type { FilmOrder } from '@selvrin/core/contract'
import { byWish, changeWords, countWords, filmWords } from './orderWords'

const known = { zone: 'UTC', names: { f: 'Soft borax developer', p: 'Slide' } }

test('a change says what it was and what it is', () => {
  const said = (field: never, before: unknown, after: unknown) => changeWords({ field, before, after }, known)
  expect(said('count' as never, 2, 3)).toBe('How many: 2, now 3')
  expect(said('developer' as never, null, { formulaId: 'f', parts: [1, 1] })).toBe(
    'Developer: as the chart says, now Soft borax developer 1+1',
  )
  expect(said('processId' as never, 'gone', 'p')).toBe('Process: another process, now Slide')
  expect(said('wantedBy' as never, null, Date.UTC(2026, 3, 14, 18))).toMatch(/^Wanted by: no time, now Tue 14 Apr( 2026)?, 18:00$/)
  expect(said('critical' as never, false, true)).toBe('Only negatives: no, now yes')
})

test('what is wanted sooner stands first, what has no time after it in the order in which it came', () => {
  const order = (number: number, wantedBy: number | null) => ({ number, wantedBy }) as FilmOrder
  expect([order(1, null), order(2, 9), order(3, null), order(4, 5)].sort(byWish).map((one) => one.number)).toEqual([4, 2, 1, 3])
})

test('films are said in one line', () => {
  expect(filmWords({ count: 2, film: 'Millrace 400', format: '135-36', ei: 800, pushStops: 1 } as FilmOrder)).toBe(
    '2 × Millrace 400, 135-36, EI 800, push 1',
  )
})

test('rolls and sheets are counted apart', () => {
  const some = (count: number, format: FilmOrder['format']) => ({ count, format })
  expect([countWords([some(2, '135-36'), some(1, '120'), some(6, '4x5in')]), countWords([some(1, '120')])]).toEqual([
    '3 rolls, 6 sheets',
    '1 roll',
  ])
})
