import { by, patched, reversed } from './patch'

interface Row {
  id: string
  name: string
  over?: boolean
}
const order = by<Row>((row) => row.name)
const rows: Row[] = [
  { id: '1', name: 'b' },
  { id: '2', name: 'd' },
]
const only = (...changed: Row[]) => new Map(changed.map((row) => [row.id, row]))
const gone = (id: string) => new Map([[id, null]])
const ids = (list: Row[]) => list.map((row) => row.id).join('')

test('a row comes into its place, moves where its order changed, and is never there twice', () => {
  expect(ids(patched(rows, only({ id: '3', name: 'c' }), { order }))).toBe('132')
  expect(ids(patched(rows, only({ id: '3', name: 'e' }), { order }))).toBe('123')
  expect(ids(patched(rows, only({ id: '1', name: 'z' }), { order }))).toBe('21')
  expect(ids(patched(rows, only({ id: '3', name: 'c' }, { id: '4', name: 'a' }), { order }))).toBe('4132')
  expect(ids(patched([...rows].reverse(), only({ id: '3', name: 'c' }), { order: reversed(order) }))).toBe('231')
})

test('a row that is gone, or no longer belongs to the list, leaves it; one that was never there changes nothing', () => {
  const holds = (row: Row) => row.over !== true
  expect(ids(patched(rows, gone('1'), { order }))).toBe('2')
  expect(ids(patched(rows, only({ id: '1', name: 'b', over: true }), { order, holds }))).toBe('2')
  expect(patched(rows, gone('9'), { order })).toBe(rows)
})
