import { shelfBottle, today } from '../test/shelf'
import { entryWords } from './entryWords'
import { flagOf, pourFirst, shelfGroups } from './shelfOrder'
import { todoList } from './todo'

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
  test('retires what is spent, then mixes what runs out', () => expect(what(old, worn)).toEqual(['Retire F1', 'Mix citric stop bath']))
  test('mixes nothing that a fresh bottle can take over from', () => {
    expect(what(worn, shelfBottle({ label: 'S2', family: 'stop-bath', formulaId: 'stop' }))).toEqual([])
  })
  test('of two that are nearly done it names the better one, once', () => {
    expect(what(worn, shelfBottle({ label: 'S2', family: 'stop-bath', formulaId: 'stop', name: 'Citric stop bath', rolls: 15 }))).toEqual([
      'Mix citric stop bath',
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
      startedAt: today,
    }
    const run = {
      id: 'r',
      version: 1,
      number: 7,
      vessel: 'Tank 2',
      processName: '',
      films: ['Millrace 400'],
      rolls: 1,
      by: '',
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
  expect(entryWords({ kind: 'use', rolls: 1.4, paper: 0 })).toBe('Used, 1.4 rolls')
  expect(entryWords({ kind: 'use', rolls: 1, paper: 3 })).toBe('Used, 1 roll, 3 prints')
  expect(entryWords({ kind: 'dilute-out', rolls: 0, paper: 0 })).toBe('Taken to dilute')
})
