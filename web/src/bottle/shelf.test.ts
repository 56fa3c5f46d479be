import { throughputFrom } from '@selvrin/core'
import { goodForWords, leftWords, lifeShares } from './lifeWords'
import { shelfBottle, today } from '../test/shelf'
import { entryWords } from './entryWords'
import { actionsOf } from './bottleActions'
import { flagOf, planksOf, pourFirst, shelfGroups, withCode } from './shelfOrder'
import { mixTasks, todoList } from './todo'

const old = shelfBottle({ label: 'F1', daysAgo: 120 })
const older = shelfBottle({ label: 'F2', daysAgo: 30 })
const younger = shelfBottle({ label: 'F3', daysAgo: 3 })
const worn = shelfBottle({ label: 'S1', family: 'stop-bath', formulaId: 'stop', name: 'Citric stop bath', rolls: 18 })
const retired = shelfBottle({ label: 'F0', daysAgo: 1, retiredAt: today, retiredWhy: 'milky' })

describe('the shelf', () => {
  test('sorts by family and use order: the oldest that can serve first, the spent ones last', () => {
    const groups = shelfGroups([younger, worn, old, retired, older])
    expect(groups.map((group) => [group.family, group.bottles.map((bottle) => bottle.label)])).toEqual([
      ['stop-bath', ['S1']],
      ['fixer', ['F2', 'F3', 'F1', 'F0']],
    ])
  })
  test('says which to pour first where there is a choice, never a spent one', () => {
    expect([...pourFirst([old, older, younger, worn])]).toEqual(['F2'])
    expect([...pourFirst([old, younger])]).toEqual([])
    expect([...pourFirst([older, shelfBottle({ label: 'F9', daysAgo: 40, parts: [1, 4] })])]).toEqual([])
  })
  test('flags what is due in words', () => {
    expect([old, older, worn, retired, shelfBottle({ ml: 0 }), shelfBottle({ rolls: 25 })].map(flagOf)).toEqual([
      'Too old',
      '',
      'Nearly done',
      '',
      'Empty',
      'Used up',
    ])
  })
})

describe('before tonight', () => {
  const what = (...bottles: Parameters<typeof todoList>[0]) => todoList(bottles, [], []).map((task) => task.what)
  test('retires what is spent, then mixes what runs out', () => expect(what(old, worn)).toEqual(['Retire F1', 'Mix Citric stop bath']))
  test('mixes nothing that a fresh bottle can take over from', () => {
    expect(what(worn, shelfBottle({ label: 'S2', family: 'stop-bath', formulaId: 'stop' }))).toEqual([])
  })
  test('of two that are nearly done it names the better one, once', () => {
    expect(what(worn, shelfBottle({ label: 'S2', family: 'stop-bath', formulaId: 'stop', name: 'Citric stop bath', rolls: 15 }))).toEqual([
      'Mix Citric stop bath',
    ])
  })
  test('what was used lately and is gone is to be mixed; what nobody uses is not', () => {
    const supply = {
      name: 'Soft borax developer',
      family: 'film-developer',
      order: [],
      rollsLeft: 0,
      plannedRolls: 0,
      runsOutAt: today,
      because: 'use' as const,
    }
    const tasks = mixTasks(
      [older],
      [
        { ...supply, formulaId: 'gone', rollsPerDay: 0.4 },
        { ...supply, formulaId: 'idle', rollsPerDay: 0 },
      ],
      'UTC',
    )
    expect(tasks.map((task) => [task.to, task.what, task.why])).toEqual([
      ['/formulary/gone', 'Mix Soft borax developer', 'None that can serve is left, and it was used in the last four weeks.'],
    ])
  })
  test('what is under way comes first', () => {
    const mix = {
      id: 'm',
      state: 'open' as const,
      formulaId: 'f',
      formulaName: 'Soft borax developer',
      family: 'film-developer',
      finalMl: 1000,
      by: 'Odo',
      hand: null,
      startedAt: today,
    }
    const run = {
      id: 'r',
      version: 1,
      number: 7,
      vessel: 'Tank 2',
      processName: '',
      eis: [],
      results: [],
      owners: [],
      films: ['Millrace 400'],
      rolls: 1,
      by: '',
      byMember: false,
      plannedAt: today,
      startedAt: null,
      endedAt: null,
    }
    const tasks = todoList(
      [old],
      [mix],
      [
        { ...run, state: 'planned' },
        { ...run, id: 'd', state: 'done' },
      ],
    )
    expect(tasks.map((task) => task.what)).toEqual(['Develop run 7', 'Finish mixing Soft borax developer', 'Retire F1'])
  })
})

test('a ledger line says what happened and how much went through', () => {
  expect(entryWords({ kind: 'use', throughput: throughputFrom({ rolls: 1.4, paper: 0 }) })).toBe('Used, 1.4 rolls')
  expect(entryWords({ kind: 'use', throughput: throughputFrom({ rolls: 1, paper: 3 }) })).toBe('Used, 1 roll, 3 prints')
  expect(entryWords({ kind: 'dilute-out', throughput: throughputFrom({ rolls: 0, paper: 0 }) })).toBe('Taken to dilute')
})

describe('the shelves', () => {
  const film = { id: 's1', version: 1, name: 'Film bench', celsius: 20, position: 1 }
  const cold = { id: 's2', version: 1, name: 'Cold cupboard', celsius: 8, position: 2 }
  test('stand in their order with their bottles, an empty one too; what stands on none comes first', () => {
    const planks = planksOf([shelfBottle({ label: 'F1', shelfId: 's2' }), shelfBottle({ label: 'F2', shelfId: null })], [film, cold])
    expect(planks.map((plank) => [plank.name, plank.groups.flatMap((group) => group.bottles.map((bottle) => bottle.label))])).toEqual([
      ['On no shelf yet', ['F2']],
      ['Film bench', []],
      ['Cold cupboard', ['F1']],
    ])
    expect(planksOf([shelfBottle({})], []).map((plank) => plank.name)).toEqual([''])
  })
  test('a bottle is found by label or code, whole before begun', () => {
    const bottles = [shelfBottle({ label: 'F1', code: 'QQQ222' }), shelfBottle({ label: 'F12', code: 'QQW333' })]
    const found = (typed: string) => withCode(bottles, typed).map((bottle) => bottle.label)
    expect([found('f1'), found('qq'), found('QQW333'), found('x'), found('')]).toEqual([['F1'], ['F1', 'F12'], ['F12'], [], ['F1', 'F12']])
  })
  test('the flag says that a test is due where nothing worse is', () => {
    const due = [{ kind: 'clearing-time' as const, name: 'Clearing time', why: 'share', says: '' }]
    expect([
      flagOf(shelfBottle({ due })),
      flagOf(shelfBottle({ due, ml: 0 })),
      flagOf(shelfBottle({ due: [{ ...due[0]!, why: 'reference' }] })),
    ]).toEqual(['Test due', 'Empty', 'Take reference'])
  })
  test('the oldest open bottle is poured first, before an older one that is untouched', () => {
    const open = shelfBottle({ label: 'F2', daysAgo: 3, rolls: 1 })
    const untouched = shelfBottle({ label: 'F1', daysAgo: 9 })
    expect([...pourFirst([untouched, open])]).toEqual(['F2'])
  })
})

describe('what runs out', () => {
  const supply = (part: object) => ({
    formulaId: 'fixer',
    name: 'Neutral rapid fixer',
    family: 'fixer',
    order: [],
    rollsLeft: 4,
    rollsPerDay: 1,
    plannedRolls: 0,
    runsOutAt: today + 4 * 86_400_000,
    because: 'use' as const,
    ...part,
  })
  const tasks = (part: object) => todoList([younger], [], [], [supply(part)], 'UTC').map((task) => task.what)
  test('within the week it says before which day to mix', () => {
    const day = new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' }).format(today + 4 * 86_400_000)
    expect(tasks({})).toEqual([`Mix Neutral rapid fixer before ${day}`])
    expect(tasks({ runsOutAt: today + 20 * 86_400_000 })).toEqual([])
    expect(tasks({ runsOutAt: null })).toEqual([])
  })
  test('tests that are due are on the list, of bottles that can still serve', () => {
    const due = [{ kind: 'clearing-time' as const, name: 'Clearing time', why: 'days', says: '40 days without it' }]
    expect(
      todoList([shelfBottle({ label: 'F4', due }), shelfBottle({ label: 'F5', daysAgo: 300, due })], [], []).map((task) => task.what),
    ).toEqual(['Retire F5', 'Test F4'])
  })
})

test('what can be done with a bottle follows how it is used', () => {
  const panels = (part: object) => {
    const { first, more } = actionsOf(shelfBottle(part) as never)
    return [...first, ...more].map((action) => action.panel)
  }
  expect(panels({})).toContain('use')
  expect(panels({ use: { ...younger.use, school: 'one-shot' } })).not.toContain('use')
  expect(panels({ use: { ...younger.use, school: 'replenished' } })[0]).toBe('replenish')
  expect(panels({ use: { ...younger.use, school: 'two-bath' } })).toContain('pair')
  expect(panels({ retiredAt: today, retiredWhy: 'old' })).toEqual(['pour'])
})

test('what use and age took and what is left come to a hundred, and an empty bottle has nothing left', () => {
  for (let used = 0; used <= 1; used += 0.037)
    for (let aged = 0; used + aged <= 1; aged += 0.041) {
      const shares = lifeShares(used, aged)
      expect(shares.used + shares.aged + shares.left).toBe(100)
      expect(shares.left).toBe(Math.round((1 - used - aged) * 100))
    }
  const full = shelfBottle({})
  const empty = { ...full, state: { ...full.state, volumeMl: 0 } }
  expect([leftWords(full), leftWords(empty), goodForWords(empty)]).toEqual([expect.stringContaining('% left'), 'Empty', ''])
  const left = (family: string, rollsLeft: number, remaining = 0.5) =>
    goodForWords({ ...full, family, state: { ...full.state, rollsLeft, remaining } } as never)
  expect([left('fixer', 12.9), left('print-developer', 40.2), left('print-developer', 1), left('fixer', 0, 0)]).toEqual([
    '12 rolls',
    '40 prints',
    '1 print',
    '',
  ])
})
