import { z } from 'zod'
import { cutOf } from './cut'

const person = z.object({ name: z.string().max(3), roles: z.array(z.object({ of: z.string() })).optional() })

test('what the contract does not name is not told, however deep it stands', () => {
  const sent = { name: 'Ilse', password: 'p', roles: [{ of: 'keys', secret: 1 }] }
  expect(cutOf(person)(sent)).toEqual({ name: 'Ilse', roles: [{ of: 'keys' }] })
  expect(cutOf(z.record(z.string(), person))({ a: sent } as never)).toEqual({ a: { name: 'Ilse', roles: [{ of: 'keys' }] } })
  expect(cutOf(person.nullable())(null)).toBeNull()
})
test('of a choice every named field is told, and only those; what may be missing is left out', () => {
  const choice = z.union([
    z.literal('trace'),
    z.object({ kind: z.literal('a'), a: person }),
    z.object({ kind: z.literal('b'), b: z.number().default(1) }),
  ])
  expect(cutOf(choice)('trace')).toBe('trace')
  expect(cutOf(choice)({ kind: 'a', a: { name: 'Ilse', x: 1 }, y: 2 } as never)).toEqual({ kind: 'a', a: { name: 'Ilse' } })
  expect(Object.keys(cutOf(choice)({ kind: 'b', b: undefined }) as object)).toEqual(['kind'])
})
test('a kind of schema it does not know is refused when the house starts, not when it answers', () => {
  expect(() => cutOf(z.object({ a: z.map(z.string(), z.string()) }))).toThrow('map')
})
