import { besideOf, failedWords } from './traceWords'

const film = (part: object = {}) => ({ faults: [], inDoubt: false, ...part })
const test_ = (at: number) => ({ id: `t${at}`, kind: 'clearing-time', at, verdict: 'keep' as const, reason: '' })

test('what is wrong with the films of a bath is counted by what is seen on them and by failed tests', () => {
  expect(failedWords([film(), film({ faults: ['milky'] }), film({ inDoubt: true })])).toBe('2 of 3 films have something wrong.')
  expect(failedWords([film(), film({ inDoubt: true })])).toBe('1 of 2 films has something wrong.')
  expect([failedWords([film()]), failedWords([film(), film()])]).toEqual([
    'Nothing wrong with its one film.',
    'Nothing wrong with its 2 films.',
  ])
})
test('beside a film stand the last test before it and the first after; of a bath its newest', () => {
  const tests = [9, 7, 5, 3, 1].map(test_)
  expect(besideOf(tests, 6).map((one) => one.at)).toEqual([5, 7])
  expect(besideOf(tests, 0).map((one) => one.at)).toEqual([1])
  expect(besideOf(tests, 10).map((one) => one.at)).toEqual([9])
  expect(besideOf(tests, null).map((one) => one.at)).toEqual([9, 7, 5])
})
