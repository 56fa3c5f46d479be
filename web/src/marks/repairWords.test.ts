import type { Repair } from '@selvrin/core'
import { repairWords } from './repairWords'

test.each<[Repair, string]>([
  [{ kind: 'move', from: 0, to: 2 }, 'Move it to step 3'],
  [{ kind: 'start-volume', startMl: 750 }, 'Start with 750 ml'],
  [{ kind: 'temperature', step: 0, celsius: 25 }, 'Let it go in at 25.0 °C'],
  [{ kind: 'deionised' }, 'Use deionised water'],
  [{ kind: 'stock-solution', step: 0, percent: 10, millilitres: 5 }, 'Draw 5 ml of a 10 % stock solution'],
  [{ kind: 'pinch', from: 1, to: 0, grams: 3 }, 'Put 3.00 g of it first'],
  [
    {
      kind: 'substitute',
      step: 0,
      additions: [
        { chemical: 'borax-decahydrate', grams: 9.53 },
        { chemical: 'sodium-hydroxide', grams: 2 },
      ],
    },
    'Take 9.53 g Borax, 10-water and 2.00 g Sodium hydroxide instead',
  ],
])('a repair says what its button does', (repair, words) => {
  expect(repairWords(repair)).toBe(words)
})
