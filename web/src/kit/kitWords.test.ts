import { capacityWords, readCapacity, writeCapacity } from './kitWords'

const capacity = [
  { fromEi: 1, rolls: 16 },
  { fromEi: 400, rolls: 12.5 },
]

test('what a kit is good for is said, and typed as it is written', () => {
  expect(capacityWords(capacity)).toBe('Good for 16 rolls, of film at EI 400 or more 12.5.')
  expect(capacityWords([{ fromEi: 1, rolls: 1 }])).toBe('Good for 1 roll.')
  expect(writeCapacity(capacity)).toBe('16; 400: 12.5')
  expect([readCapacity('16; 400: 12,5'), readCapacity(writeCapacity(capacity))]).toEqual([capacity, capacity])
  expect(readCapacity('many')).toEqual([{ fromEi: 1, rolls: NaN }])
  expect(readCapacity('16;')).toEqual([capacity[0], { fromEi: 1, rolls: NaN }])
})
