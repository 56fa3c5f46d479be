import { readDensity } from './readDensity'

test('a density is a figure from 0 to 4, with a point or a comma, or nothing', () => {
  expect(['0.10', ' 1,3 ', '4', ''].map(readDensity)).toEqual([0.1, 1.3, 4, null])
  expect(['4.1', '-1', '12', 'dense', '1.', '.5'].map(readDensity)).toEqual(Array(6).fill('wrong'))
})
