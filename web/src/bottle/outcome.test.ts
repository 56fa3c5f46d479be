import { decideDilution, decidePour } from '@selvrin/core'
import { shelfBottle } from '../test/shelf'
import { outcomeOf } from './outcome'

const old = shelfBottle({ label: 'F4', daysAgo: 130 })
const diluted = (overrule?: string) => () =>
  decideDilution(old, { newId: 'n', parts: [1, 4], totalMl: 500, sizeMl: 500, ...(overrule === undefined ? {} : { overrule }) })

test('what a reason would lift asks for one, whatever is done with the bottle; with it the act is as decided', () => {
  expect(outcomeOf(diluted())).toMatchObject({ decided: null, wantsReason: true })
  expect(outcomeOf(diluted('for a test strip'))).toMatchObject({ wantsReason: false, refusal: '', decided: { lines: expect.any(Array) } })
  const pour = { entryId: 'e', kind: 'top-up' as const, ml: 10, rolls: 0, paper: 0, colourRolls: 0, waterInMl: 0, note: '' }
  const into = shelfBottle({ label: 'F1', ml: 400 })
  expect(outcomeOf(() => decidePour({ bottle: into, from: old }, pour)).wantsReason).toBe(true)
})
test('what no reason lifts is said and asks for none; nothing asked is nothing said', () => {
  const toomuch = outcomeOf(() => decideDilution(shelfBottle({ ml: 10 }), { newId: 'n', parts: [1, 4], totalMl: 500, sizeMl: 500 }))
  expect([toomuch.wantsReason, toomuch.refusal === '']).toEqual([false, false])
  expect(outcomeOf(() => null)).toEqual({ decided: null, refusal: '', wantsReason: false })
  expect(() =>
    outcomeOf(() => {
      throw new TypeError('a fault of ours')
    }),
  ).toThrow('a fault of ours')
})
