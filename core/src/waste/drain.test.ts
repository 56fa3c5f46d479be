import { aDrain } from '../samples'
import { requireDrain, type Drained, type DrainKnown } from './drain'

const minute = 60_000
const stop: Drained = { family: 'acid', ml: 500, silverG: 0, contents: null }
const code = (drained: Partial<Drained>, known: Partial<DrainKnown> = {}): string => {
  try {
    return requireDrain({ ...stop, ...drained }, { ...aDrain, ...known }).paper
  } catch (error) {
    return (error as { code: string }).code
  }
}

test('nothing goes down the drain but by a paper, until its last day, and never on a septic tank', () => {
  const [rule] = aDrain.rules
  expect(code({})).toBe(rule?.paper)
  expect(code({}, { day: rule?.ends ?? '' })).toBe(rule?.paper)
  expect(code({}, { day: '2027-04-01' })).toBe('drain-ended')
  expect(code({}, { septic: true })).toBe('drain-septic')
  expect(code({ family: 'dev' })).toBe('drain-forbidden')
  expect(code({}, { rules: [] })).toBe('drain-forbidden')
})

test('a day takes what its paper allows, and no more', () => {
  expect(code({ ml: 1000 })).toBe(aDrain.rules[0]?.paper)
  expect(code({ ml: 1000.1 })).toBe('drain-day')
  expect(code({ ml: 300 }, { todayMl: 800 })).toBe('drain-day')
  expect(() => requireDrain({ ...stop, ml: 300 }, { ...aDrain, todayMl: 800 })).toThrow(/allows 1\.00 L a day\. 0\.80 L went down today/)
})

test('silver over the limit of the drain stays out of it, whatever a paper says', () => {
  const [rule] = aDrain.rules
  const rules = rule ? [{ ...rule, family: 'sil' as const }] : []
  expect(code({ family: 'sil', silverG: 0.0005 }, { rules })).toBe(rule?.paper)
  expect(code({ family: 'sil', silverG: 0.00051 }, { rules })).toBe('drain-silver')
})

test('what never meets does not meet in the trap: water runs between them first, five minutes at least', () => {
  const liquid = { family: 'sul' as const, ml: 200, contents: null }
  const after = (minutes: number, asked = 10): string =>
    code({}, { lately: [{ at: aDrain.now - minutes * minute, liquid, minutes: asked }] })
  expect([after(9), after(10), after(4, 0), after(5, 0)]).toEqual([
    'never-meets',
    aDrain.rules[0]?.paper,
    'never-meets',
    aDrain.rules[0]?.paper,
  ])
  expect(code({}, { lately: [{ at: aDrain.now, liquid: { ...liquid, family: 'acid' }, minutes: 10 }] })).toBe(aDrain.rules[0]?.paper)
})
