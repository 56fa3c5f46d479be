import { draftOf, emptyDraft, emptyLine, readDraft, type Draft } from './draft'

const draft = (change: Partial<Draft> = {}): Draft => ({
  ...emptyDraft(),
  name: 'Soft developer',
  family: 'film-developer',
  school: { ...emptyDraft().school, perRoll: '100 ml' },
  dilutions: 'stock, 1+1, 1+3',
  lines: [
    { ...emptyLine(), chemical: 'metol', amount: '2' },
    { ...emptyLine(), chemical: 'sodium-sulfite', amount: '100 g', note: 'In portions.' },
    { ...emptyLine(), chemical: 'acetic-acid-28', amount: '10' },
    { ...emptyLine(), chemical: 'potassium-bromide', amount: '5', percent: '10 %', at: '77 °F' },
  ],
  ...change,
})

test('a draft is read in any units: powders by weight, liquids and percent solutions by volume', () => {
  const { body, problems } = readDraft(draft({ final: '1 gal' }))
  expect(problems).toEqual({})
  expect(body?.additions).toEqual([
    { chemical: 'metol', grams: 2 },
    { chemical: 'sodium-sulfite', grams: 100, note: 'In portions.' },
    { chemical: 'acetic-acid-28', millilitres: 10 },
    { chemical: 'potassium-bromide', millilitres: 5, percent: 10, atC: 25 },
  ])
  expect(body?.finalMl).toBeCloseTo(3785.41, 6)
  expect(body?.use.dilutions).toEqual([[1], [1, 1], [1, 3]])
})

test('what is kept and opened again reads the same', () => {
  const { body } = readDraft(draft({ usual: '9:30' }))
  if (!body) throw new Error('it cannot be read')
  const whole = { ...body, storeMinC: 10, additions: body.additions.map((line) => ({ ...line, role: 'other' as const, wholePack: true })) }
  expect(readDraft(draftOf(whole)).body).toEqual(whole)
})

test.each<[string, Partial<Draft>, string]>([
  ['no name', { name: ' ' }, 'name'],
  ['no family', { family: null }, 'family'],
  ['a volume without sense', { final: 'a lot' }, 'final'],
  ['a temperature of nothing known', { mix: '50 °R' }, 'mix'],
  ['a colon in a dilution', { dilutions: '1:4' }, 'dilutions'],
  ['a counted bath without its rolls', { school: { ...emptyDraft().school, school: 'counted' } }, 'capacity'],
  ['a bare time', { usual: '9.5' }, 'usual'],
])('%s is said at its field', (_name, change, field) => {
  const { body, problems } = readDraft(draft(change))
  expect(body).toBeNull()
  expect(Object.keys(problems)).toContain(field)
})

test('a line without its chemical or with an ambiguous amount is marked, an empty line is passed over', () => {
  const lines = [{ ...emptyLine(), amount: '5 g' }, { ...emptyLine(), chemical: 'metol', amount: '11/2' }, emptyLine()]
  const { problems } = readDraft(draft({ lines }))
  expect(Object.keys(problems).sort()).toEqual([`line ${lines[0]?.key}`, `line ${lines[1]?.key}`].sort())
})

test('a bought concentrate has no lines', () => expect(readDraft(draft({ lines: [emptyLine()] })).body?.additions).toEqual([]))

describe('the five schools of use', () => {
  const use = (part: Partial<Draft['school']>, family: Draft['family'] = 'film-developer') =>
    readDraft(draft({ family, school: { ...emptyDraft().school, ...part } }))
  test.each<[Partial<Draft['school']>, object]>([
    [
      { school: 'compensated', capacity: '12', growth: '4 %' },
      { school: 'compensated', capacityRollsPerL: 12, compensation: { perRoll: 0.04 } },
    ],
    [
      { school: 'compensated', growth: '5 x1.2, 10 x1,4' },
      {
        compensation: {
          table: [
            { rollsPerL: 5, factor: 1.2 },
            { rollsPerL: 10, factor: 1.4 },
          ],
        },
      },
    ],
    [
      { school: 'replenished', rate: '20 ml', turnovers: '4' },
      { capacityRollsPerL: null, replenishment: { mlPerRoll: 20, turnovers: 4 } },
    ],
    [{ school: 'two-bath', capacity: '10', moves: '4', pairDays: '' }, { twoBath: { moves: 4, days: null } }],
  ])('%j says %j and opens again the same', (part, said) => {
    const { body, problems } = use(part)
    expect([problems, body?.use]).toMatchObject([{}, said])
    expect(body && readDraft(draftOf(body)).body?.use).toEqual(body?.use)
  })
  test('what a fixer fixes is kept for fixers only', () => {
    const part = { school: 'counted' as const, capacity: '10', fixes: 'fibre-paper' as const, longKeeping: true }
    expect(use(part, 'fixer').body?.use).toMatchObject({ fixes: 'fibre-paper', longKeeping: true })
    expect(use(part).body?.use.fixes).toBeUndefined()
  })
  test('a step that is none is said at its field', () =>
    expect(use({ school: 'compensated', growth: '5 x1.2, then more' }).problems.growth).toContain('5 x1.2'))
})
