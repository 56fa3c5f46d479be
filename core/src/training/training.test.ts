import { catalogue } from '../chemical/catalogue'
import { houseProcesses } from '../index'
import { tasksOfBath, tasksOfMix, tasksOfRun } from './asked'
import { countsAs, requireTraining } from './giving'
import { mayAlone, requireTrained, taskStanding, type TrainingTold } from './standing'
import { taskNames, taskShows, trainingEnds, trainingTasks } from './task'

const zone = 'Europe/Lisbon'
const now = Date.UTC(2026, 11, 2, 12)
const days = (n: number): number => now - n * 86_400_000
const given = (at: number, more: Partial<TrainingTold> = {}): TrainingTold => ({ kind: 'given', task: 'drums', at, stage: null, ...more })
const state = (told: TrainingTold[], task: TrainingTold['task'] = 'drums') => taskStanding(task, told, { now, zone }).state

test('a training holds for a year, for half of one where it burns or gasses, and is said thirty days before', () => {
  expect(trainingTasks.filter((one) => trainingEnds(one, now, zone) < now + 300 * 86_400_000)).toEqual(['acid-alkali', 'recovery'])
  expect(state([])).toBe('never')
  expect(state([given(days(10))])).toBe('may')
  // of 365 days 30 are left, and 31
  expect([state([given(days(335))]), state([given(days(334))])]).toEqual(['soon', 'may'])
  expect(state([given(days(365))])).toBe('ended')
  expect(state([given(days(160), { task: 'acid-alkali' })], 'acid-alkali')).toBe('soon')
  expect(state([given(days(184), { task: 'acid-alkali' })], 'acid-alkali')).toBe('ended')
  // the same day of the calendar at the same hour, over a change of the clocks
  expect(new Date(trainingEnds('recovery', Date.UTC(2026, 0, 15, 18), zone)).toISOString()).toBe('2026-07-15T17:00:00.000Z')
})

test('what was taken away counts no more, however much was shown before it; what was shown after it does', () => {
  const away = given(days(5), { kind: 'revoked' })
  expect(state([given(days(300)), given(days(20)), away])).toBe('revoked')
  expect(state([given(days(20)), away, given(days(1))])).toBe('may')
  // by the order of the book, not by a day somebody wrote: what was shown before and written down later is a new word of a technician
  expect(state([away, given(days(20))])).toBe('may')
  expect(state([given(days(20)), { ...away, task: 'spills' }])).toBe('may')
})

test('a reel is loaded alone only from when it was loaded in the dark', () => {
  const load = (stage: TrainingTold['stage'], ago: number) => given(days(ago), { task: 'load-135', stage })
  expect(state([load('light', 1), load('eyes-shut', 1)], 'load-135')).toBe('partly')
  expect(taskStanding('load-135', [load('light', 1), load('eyes-shut', 2)], { now, zone }).stage).toBe('eyes-shut')
  expect(state([load('dark', 40), load('light', 1)], 'load-135')).toBe('may')
  // the dark one has ended, and the light has not
  expect(state([load('dark', 400), load('light', 1)], 'load-135')).toBe('partly')
})

test('what is lacked is refused by name, unless a technician stands in for all of it', () => {
  const standings = [
    { task: 'drums' as const, state: 'ended' as const, endsAt: 1, stage: null },
    { task: 'powders' as const, state: 'may' as const, endsAt: now, stage: null },
  ]
  const who = { id: 'm', name: 'Tilda Rook' }
  expect(() => requireTrained(who, standings, [])).toThrow('Tilda Rook lacks training: pours into drums (ended).')
  expect(() => requireTrained(who, standings, ['powders'])).toThrow('pours into drums')
  expect(() => requireTrained(who, standings, ['drums'])).not.toThrow()
  expect(standings.map(mayAlone)).toEqual([false, true])
})

test('what a mix, a bath and a run ask for follows from what is in them, whatever they are called', () => {
  const of = (family: string, ...ids: string[]) => ({ family, additions: ids.map((chemical) => ({ chemical, grams: 10 })) })
  const known = (...ids: string[]) => ids.forEach((id) => expect(Object.keys(catalogue)).toContain(id))
  known('metol', 'colour-agent-negative', 'potassium-dichromate', 'silver-nitrate', 'sodium-hydroxide', 'acetic-acid-glacial', 'thiourea')
  expect(tasksOfMix(of('film-developer', 'metol'))).toEqual(['powders'])
  expect(tasksOfMix(of('other', 'colour-agent-negative', 'sodium-hydroxide'))).toEqual(['powders', 'acid-alkali', 'colour-developers'])
  expect(tasksOfMix(of('stop-bath', 'acetic-acid-glacial'))).toEqual(['acid-alkali'])
  expect(tasksOfBath(of('other', 'potassium-dichromate'))).toEqual(['bleaches'])
  expect(tasksOfBath(of('other', 'thiourea'))).toEqual(['toners'])
  expect(tasksOfBath(of('other', 'silver-nitrate'))).toEqual(['coating'])
  // a sensitizer of iron salts holds what a bleach holds, and is coated
  expect(tasksOfBath(of('sensitizer', 'potassium-ferricyanide'))).toEqual(['coating'])
  // nobody wrote its recipe
  expect(tasksOfBath(of('bleach'))).toEqual(['bleaches'])
  expect(tasksOfRun(['135-36', '220', '4x5in', '135-24'], [of('film-developer', 'metol')])).toEqual(['load-135', 'load-120', 'load-sheets'])
  for (const one of trainingTasks) expect([taskNames[one], taskShows[one]].every((words) => words.length > 0)).toBe(true)
})

test('a practice counts as what it was practice of, and only with nothing wrong', () => {
  const loading = { what: '120' as const, where: 'eyes-shut' as const, seconds: 40, went: 'clean' as const }
  expect(countsAs({ clean: true, loading, process: null })).toEqual([{ task: 'load-120', stage: 'eyes-shut' }])
  expect(countsAs({ clean: false, loading, process: null })).toEqual([])
  const by = (material: string) => houseProcesses.find((one) => one.material === material) ?? null
  expect(countsAs({ clean: true, loading: null, process: by('colour-negative') }).map((one) => one.task)).toContain('colour-developers')
  expect(countsAs({ clean: true, loading: null, process: by('bw-film') })).toEqual([])
})

test.each([
  [{ outside: '' }, true, 'Nobody shows it to themselves'],
  [{ outside: 'the fire brigade' }, true, ''],
  [{ at: now + 3_600_000 }, false, 'has not come yet'],
  [{ at: days(370) }, false, 'more than a year ago'],
  [{ stage: 'dark' as const }, false, 'Only loading has stages'],
  [{ task: 'load-135' as const }, false, 'Say how far'],
])('a training that cannot have been: %j', (more, byOneself, sentence) => {
  const body = { task: 'drums' as const, at: days(1), stage: null, outside: '', ...more }
  const give = () => requireTraining(body, { now, byOneself })
  if (sentence === '') expect(give).not.toThrow()
  else expect(give).toThrow(sentence)
})
