import { draftOf, emptyDraft, emptyLine, readDraft, type Draft } from './draft'

const draft = (change: Partial<Draft> = {}): Draft => ({
  ...emptyDraft(),
  name: 'Soft developer',
  family: 'film-developer',
  perRoll: '100 ml',
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
  ['a counted bath without its rolls', { school: 'counted' }, 'capacity'],
  ['a bare time', { usual: '9.5' }, 'usual'],
])('%s is said at its field', (_name, change, field) => {
  const { body, problems } = readDraft(draft(change))
  expect(body).toBeNull()
  expect(Object.keys(problems)).toContain(field)
})

test('a line without its chemical or with an ambiguous amount is marked, an empty line is passed over', () => {
  const lines = [{ ...emptyLine(), amount: '5 g' }, { ...emptyLine(), chemical: 'metol', amount: '1,000' }, emptyLine()]
  const { problems } = readDraft(draft({ lines }))
  expect(Object.keys(problems).sort()).toEqual([`line ${lines[0]?.key}`, `line ${lines[1]?.key}`].sort())
})

test('a bought concentrate has no lines', () => expect(readDraft(draft({ lines: [emptyLine()] })).body?.additions).toEqual([]))
