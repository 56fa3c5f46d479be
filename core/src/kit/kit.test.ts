import { kitBody } from './kitBody'
import { kitCount, kitFindings } from './kitCount'

const capacity = [
  { fromEi: 1, rolls: 16 },
  { fromEi: 400, rolls: 12 },
  { fromEi: 800, rolls: 8 },
]
const films = (...eis: (number | null)[]) => eis.map((ei) => ({ ei, rolls: 1 }))

test('the baths of a kit share one count, by how fast each film was; what nobody knows counts as the slowest', () => {
  expect(kitCount(capacity, [films(100, 399)])).toEqual({ used: 2 / 16, rolls: 2, rollsLeft: 14 })
  expect(kitCount(capacity, [films(400, 799)]).used).toBeCloseTo(2 / 12, 9)
  expect(kitCount(capacity, [films(800, 3200)]).used).toBeCloseTo(2 / 8, 9)
  expect(kitCount(capacity, [films(null)]).used).toBe(1 / 16)
  expect(kitCount(capacity, [])).toEqual({ used: 0, rolls: 0, rollsLeft: 16 })
})

test('a bath that was replaced begins nothing anew: the one most went through counts', () => {
  const old = films(100, 100, 100, 100)
  expect(kitCount(capacity, [films(100), old])).toEqual({ used: 0.25, rolls: 4, rollsLeft: 12 })
  expect(kitCount(capacity, [old, films(100)])).toEqual({ used: 0.25, rolls: 4, rollsLeft: 12 })
  expect(kitCount(capacity, [Array(20).fill({ ei: 100, rolls: 1 })])).toEqual({ used: 1, rolls: 20, rollsLeft: 0 })
})

test('it warns from 85 % of its leaflet’s rolls, and ends with the last', () => {
  const rules = (used: number) => kitFindings({ used, rolls: 8, rollsLeft: 1 }, 'Kit 3').map((one) => `${one.rule} ${one.severity}`)
  expect([0.84, 0.85, 0.99, 1].map(rules)).toEqual([[], ['bottle-kit-low warning'], ['bottle-kit-low warning'], ['bottle-kit-used error']])
  expect(kitFindings({ used: 1, rolls: 8.33, rollsLeft: 0 }, 'Kit 3')[0]?.message).toMatch(/^Kit 3: 8\.3 rolls/)
})

test('a kit has a bath, and its capacities from slow to fast', () => {
  const id = '01900000-0000-7000-8000-000000000001'
  const body = { name: 'Kit', baths: [{ name: 'Developer', formulaId: id, ml: 1000 }], capacity, processId: null, sealedDays: null }
  expect(kitBody.safeParse(body).success).toBe(true)
  for (const wrong of [{ baths: [] }, { capacity: [] }, { capacity: [...capacity].reverse() }, { name: ' ' }])
    expect(kitBody.safeParse({ ...body, ...wrong }).success).toBe(false)
})
