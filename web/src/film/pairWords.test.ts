import { cameWords, percentWords } from './pairWords'

test('how a pair came out is said in words, with those of whom nobody has said it', () => {
  const came = { thin: 1, right: 6, dense: 0, flat: 0, evenly: 5, hard: 2 }
  expect(cameWords({ films: 9, came })).toBe('6 right, 1 thin, 2 hard, 2 not said')
  expect(cameWords({ films: 7, came: { ...came, hard: 0 } })).toBe('6 right, 1 thin')
})
test('a factor is so many hundredths more or less', () => {
  expect([0.88, 1.08, 1, 1.004].map(percentWords)).toEqual(['12 % less', '8 % more', 'as charted', 'as charted'])
})
