import type { FormulaUse } from '@selvrin/core'
import { emptySchool, readSchool, schoolDraftOf } from './schoolDraft'
import { schoolWords } from './schoolWords'

const rest = { keeping: { fullDays: 180, halfDays: 60, workingDays: 1 }, dilutions: [[1]] }
const uses: [string, FormulaUse, string][] = [
  ['one-shot', { ...rest, school: 'one-shot', capacityRollsPerL: null, minConcentrateMlPerRoll: 100 }, '; used once'],
  ['counted', { ...rest, school: 'counted', capacityRollsPerL: 24.5, minConcentrateMlPerRoll: 0 }, '; counted, 24.5 rolls a litre'],
  [
    'compensated by a share',
    { ...rest, school: 'compensated', capacityRollsPerL: 12, minConcentrateMlPerRoll: 0, compensation: { perRoll: 0.055 } },
    '; compensated: 5.5 % more time a roll and litre, 12 rolls a litre',
  ],
  [
    'compensated by a table',
    {
      ...rest,
      school: 'compensated',
      capacityRollsPerL: null,
      minConcentrateMlPerRoll: 0,
      compensation: {
        table: [
          { rollsPerL: 0, factor: 1 },
          { rollsPerL: 4, factor: 1.15 },
          { rollsPerL: 8, factor: 1.4 },
        ],
      },
    },
    '; compensated: more time by a table',
  ],
  [
    'replenished from another formula',
    {
      ...rest,
      school: 'replenished',
      capacityRollsPerL: null,
      minConcentrateMlPerRoll: 0,
      replenishment: { mlPerRoll: 22.5, turnovers: 3, formulaId: 'replenisher' },
    },
    '; replenished with 22.5 ml a roll, over after 3 times its volume',
  ],
  [
    'two baths without a date, of prints that must keep',
    {
      ...rest,
      school: 'two-bath',
      capacityRollsPerL: 10,
      minConcentrateMlPerRoll: 0,
      twoBath: { moves: 4, days: null },
      fixes: 'fibre-paper',
      longKeeping: true,
    },
    '; two baths, 10 rolls a litre, 4 moves',
  ],
]
const read = (draft: ReturnType<typeof emptySchool>, fixer = false) => {
  const problems: Record<string, string> = {}
  const attempt = <T>(field: string, work: () => T, instead: T): T => {
    try {
      return work()
    } catch (error) {
      problems[field] = (error as Error).message
      return instead
    }
  }
  return { said: readSchool(draft, fixer, attempt, (field, says) => (problems[field] = says)), problems }
}

describe('how a bath is used up, as it is typed', () => {
  test.each(uses)('%s: what is shown reads back as it was, and in words', (_name, use, words) => {
    const { keeping: _keeping, dilutions: _dilutions, ...own } = use
    expect(read(schoolDraftOf(use), true)).toEqual({ said: own, problems: {} })
    expect(schoolWords(use)).toBe(words)
  })
  test('what a school does not need is not kept from the one before', () => {
    const replenished = schoolDraftOf(uses[4]![1])
    expect(read({ ...replenished, school: 'counted', capacity: '20' }).said).toEqual({
      school: 'counted',
      capacityRollsPerL: 20,
      minConcentrateMlPerRoll: 0,
    })
  })
  test('a counted bath without its rolls, and steps that cannot be read, are said beside their field', () => {
    expect(read({ ...emptySchool(), school: 'counted' }).problems).toEqual({ capacity: expect.stringContaining('rolls per litre') })
    expect(read({ ...emptySchool(), school: 'compensated', growth: '5 x1.2, soon' }).problems).toEqual({
      growth: expect.stringContaining('not “soon”'),
    })
    expect(read({ ...emptySchool(), school: 'compensated', growth: 'a bit' }).problems.growth).toContain('a bit')
  })
  test('a decimal comma in steps is no separator', () => {
    expect(read({ ...emptySchool(), school: 'compensated', growth: '2,5 x1,1; 5 x1,2' }).said.compensation).toEqual({
      table: [
        { rollsPerL: 2.5, factor: 1.1 },
        { rollsPerL: 5, factor: 1.2 },
      ],
    })
  })
})
