import { readingOfProbe } from './probe'

const read = (second: number, c: number) => ({ at: second * 1000, c })
const become = (one: ReturnType<typeof read>, last: ReturnType<typeof read> | null) => readingOfProbe(one, { last, plannedC: 20 })

test('a steady bath is written down every half minute, a drifting one every ten seconds, the first at once', () => {
  expect(become(read(0, 20), null)).toBe('keep')
  expect([29, 30].map((s) => become(read(s, 20.05), read(0, 20)))).toEqual(['wait', 'keep'])
  expect([9, 10].map((s) => become(read(s, 20.1), read(0, 20)))).toEqual(['wait', 'keep'])
})
test('a probe that lies elsewhere is not believed, however long it does', () => {
  expect([15.9, 24.1].map((c) => become(read(600, c), read(0, 20)))).toEqual(['elsewhere', 'elsewhere'])
  expect([16, 24].map((c) => become(read(600, c), read(0, 20)))).toEqual(['keep', 'keep'])
  expect(() => become(read(0, Number.NaN), null)).toThrow()
})
