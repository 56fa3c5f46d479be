import { washResidual } from './washResidual'

const running = (more: object = {}) => washResidual({ seconds: 600, material: 'film', aid: false, waterC: 20, ...more })

test('three fills of 300 ml leave a ten-thousandth of what 15 ml carry in', () => {
  const after = [1, 2, 3].map((fills) => washResidual({ carryMl: 15, fillMl: 300, fills }))
  expect(after.map((share) => Number((share * 100).toPrecision(2)))).toEqual([4.8, 0.23, 0.011])
  expect(washResidual({ carryMl: 15, fillMl: 300, fills: 0 })).toBe(1)
})
test('running water empties the layer by its material, with an aid faster, in the cold slower', () => {
  expect(running()).toBeCloseTo(9.8e-5, 6)
  expect(running({ material: 'fibre', seconds: 3600 })).toBeCloseTo(9.8e-5, 6)
  expect(running({ material: 'rc', seconds: 120 })).toBeCloseTo(2.5e-3, 4)
  expect(running({ aid: true, seconds: 300 })).toBeCloseTo(Math.exp(-300 / 33), 9)
  expect(running({ waterC: 14.9 })).toBeCloseTo(Math.exp(-600 / 97.5), 9)
  expect([running({ waterC: 15 }), running({ waterC: 10 })]).toEqual([running(), running({ waterC: 14.9 })])
})
test.each([
  ['cold water', 'outside-range', () => running({ waterC: 9.9 })],
  ['a fill of nothing', 'out-of-range', () => washResidual({ carryMl: 15, fillMl: 0, fills: 1 })],
  ['less than no time', 'out-of-range', () => running({ seconds: -1 })],
])('%s is refused', (_, code, wash) => expect(wash).toThrow(expect.objectContaining({ code })))
