import { readCovers, writeCovers } from './coverVolumes'

test('what is shown comes back as it was', () => {
  for (const volumes of [
    [310, 625.5],
    [300, 600, 2400],
  ])
    expect(readCovers(writeCovers(volumes))).toEqual(volumes)
})
test('volumes with a decimal comma, semicolons or in litres', () => {
  expect(readCovers('0,3 L; 0,6 L')).toEqual([300, 600])
  expect(readCovers('290ml,580ml')).toEqual([290, 580])
})
test('what cannot be meant is refused', () => {
  expect(() => readCovers('a lot')).toThrow()
  expect(() => readCovers('600 ml, 300 ml')).toThrow('at least')
})
