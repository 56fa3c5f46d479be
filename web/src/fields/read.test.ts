import { DomainError } from '@selvrin/core'
import { manner } from '../session/manner'
import { readDay, readFigure, readPercent, readShare, readWhole, writeDay, writeFigure, writePercent } from './read'

afterEach(() => void (manner.value = { units: 'metric', decimal: 'point' }))

test.each([
  ['85 %', 0.85],
  ['85', 0.85],
  ['0.85', 0.85],
  ['97,5 %', 0.975],
])('%s is a share of %d', (text, share) => expect(readShare(text)).toBeCloseTo(share, 9))

test('what is written is read again as the very same, by either decimal sign', () => {
  for (const decimal of ['point', 'comma'] as const) {
    manner.value = { units: 'metric', decimal }
    expect(readFigure(writeFigure(1234.5))).toBe(1234.5)
    expect(readPercent(writePercent(0.855))).toBeCloseTo(0.855, 12)
  }
  const at = Date.parse('2026-04-14T12:00:00Z')
  expect(readDay(writeDay(at))).toBe(at)
})

test.each([
  ['14.4.2026', readDay],
  ['2026-13-40', readDay],
  ['2026-02-30', readDay],
  ['12 EUR', readFigure],
  ['-3', readFigure],
  ['pure', readShare],
  ['some', readPercent],
  ['1.5', readWhole('Write a whole number.')],
  ['many', readWhole('Write a whole number.')],
] as const)('%s is not taken for anything', (text, read) => expect(() => read(text)).toThrow(DomainError))
