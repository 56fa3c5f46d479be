import { vesselFor } from '@selvrin/core'
import type { ChartRow, Vessel } from '@selvrin/core/contract'
import { shelfBottle } from '../test/shelf'
import { bathChoices, developerChoices, pushChoices, sourcesOf, uniqueTexts, vesselChoices } from './planChoices'

const row = (part: Partial<ChartRow>): ChartRow => ({
  id: 'r',
  film: 'Millrace 400',
  formulaId: 'borax',
  parts: [1, 1],
  ei: 400,
  temperatureC: 20,
  seconds: 600,
  source: 'wall chart',
  note: '',
  by: '',
  version: 1,
  tried: null,
  ...part,
})
const chart = [
  row({ id: 'a' }),
  row({ id: 'b', temperatureC: 24, seconds: 450 }),
  row({ id: 'c', parts: [1] }),
  row({ id: 'd', ei: 800 }),
  row({ id: 'e', source: 'Odo' }),
  row({ id: 'f', film: 'Saltpan 50' }),
]
const reused = (label: string, daysAgo: number) =>
  shelfBottle({ label, family: 'film-developer', formulaId: 'borax', name: 'Soft borax developer', daysAgo })
const stock = (label: string, daysAgo: number) => {
  const bottle = reused(label, daysAgo)
  return { ...bottle, use: { ...bottle.use, school: 'one-shot' as const } }
}

test('a stock bath that is used again is offered as it is, not at a dilution that would use it up', () => {
  const names = (bottle: ReturnType<typeof reused>) =>
    developerChoices([bottle], chart, 'Millrace 400', 400).map((choice) => choice.charted)
  expect(names(reused('D1', 9))).toEqual([[1]])
  const both = reused('D1', 9)
  expect(names({ ...both, use: { ...both.use, dilutions: [[1], [1, 1]] } })).toEqual([[1], [1, 1]])
})

test('developers are those on the shelf with a charted time, at each charted dilution, oldest first', () => {
  const choices = developerChoices(
    [stock('D2', 2), stock('D1', 9), shelfBottle({ label: 'D3', family: 'film-developer', formulaId: 'other' })],
    chart,
    'Millrace 400',
    400,
  )
  expect(choices.map((choice) => choice.name)).toEqual([
    'D1 Soft borax developer, stock',
    'D1 Soft borax developer, 1+1',
    'D2 Soft borax developer, stock',
    'D2 Soft borax developer, 1+1',
  ])
  expect(choices[1]?.parts).toEqual([1, 1])
  expect(developerChoices([stock('D1', 9)], chart, null, NaN)).toEqual([])
})

test('working strength is poured as it is, for the time of its dilution', () => {
  const working = { ...stock('D4', 1), parts: [1, 1] }
  expect(developerChoices([working], chart, 'Millrace 400', 400).map((choice) => [choice.charted, choice.parts])).toEqual([[[1, 1], [1]]])
})

test('a spent bottle is shown but cannot be picked', () => {
  const choices = bathChoices(
    [
      shelfBottle({ label: 'F1', daysAgo: 200 }),
      shelfBottle({ label: 'F2', daysAgo: 5, rolls: 18 }),
      shelfBottle({ label: 'F3', daysAgo: 2 }),
    ],
    'fixer',
  )
  expect(choices.map((choice) => [choice.value, choice.disabled, Math.round(choice.rolls)])).toEqual([
    ['F2 1', false, 1],
    ['F3 1', false, 20],
    ['F1 1', true, 0],
  ])
})

test('a concentrate comes after what is ready to pour', () => {
  const concentrate = shelfBottle({ label: 'F1', daysAgo: 50, use: { ...shelfBottle({}).use, dilutions: [[1, 4]] } })
  expect(bathChoices([concentrate, shelfBottle({ label: 'F2' })], 'fixer').map((choice) => choice.value)).toEqual(['F2 1', 'F1 1+4'])
})

test('sources that disagree stand side by side, each with its temperatures', () => {
  expect(sourcesOf(chart, 'Millrace 400', 400, 'borax', [1, 1]).map((source) => [source.name, source.rows.map((one) => one.id)])).toEqual([
    ['Odo', ['e']],
    ['wall chart', ['a', 'b']],
    ['Between them', ['a', 'b', 'e']],
  ])
})

test('what other runs have reserved is said beside what is left', () => {
  const bottle = { ...stock('D1', 9), reserved: { ml: 300, rolls: 1, runs: [43, 44] } }
  expect(developerChoices([bottle], chart, 'Millrace 400', 400)[0]?.detail).toMatch(/left.*; reserved for run 43, 44: 300 ml, 1/)
  expect(bathChoices([{ ...bottle, reserved: { ml: 0, rolls: 0, runs: [] } }], 'film-developer')[0]?.detail).not.toContain('reserved')
})

test('names are sorted as people count', () => expect(uniqueTexts(['3200', '50', '400', '50'])).toEqual(['50', '400', '3200']))

test('what is only a part of a bath comes last, and says of which', () => {
  const part = shelfBottle({ label: 'B1', formulaId: 'part-a', daysAgo: 50 })
  expect(
    bathChoices([part, shelfBottle({ label: 'B2' })], 'fixer', { 'part-a': 'Bleach, working' }).map((one) => [
      one.value,
      one.disabled,
      one.detail,
    ]),
  ).toEqual([
    ['B2 1', false, expect.any(String)],
    ['B1 1', true, 'only a part of Bleach, working'],
  ])
})

test('a concentrate is offered at every dilution its formula knows', () => {
  const concentrate = shelfBottle({
    label: 'F1',
    use: {
      ...shelfBottle({}).use,
      dilutions: [
        [1, 4],
        [1, 9],
      ],
    },
  })
  expect(bathChoices([concentrate], 'fixer').map(({ name, parts }) => [name.split(', ')[1], parts])).toEqual([
    ['1+4', [1, 4]],
    ['1+9', [1, 9]],
  ])
  expect(bathChoices([{ ...concentrate, parts: [1, 4] }], 'fixer').map(({ name, parts }) => [name.split(', ')[1], parts])).toEqual([
    ['1+4', [1]],
  ])
})

test('film is pushed by halves of a stop, as far as the process has factors for it', () => {
  const names = (steps: Parameters<typeof pushChoices>[0]) => pushChoices(steps).map((one) => one.name)
  expect(names([{ time: 'chart' }]).slice(0, 5)).toEqual(['pull 2', 'pull 1.5', 'pull 1', 'pull 0.5', 'as exposed'])
  expect(
    names([
      {
        time: { s: 195 },
        push: [
          { stops: 0, factor: 1 },
          { stops: 1, factor: 1.15 },
        ],
      },
    ]),
  ).toEqual(['as exposed', 'push 0.5', 'push 1'])
  expect(names([{ time: { s: 300 } }])).toEqual(['as exposed'])
})

const tank = (name: string, kind: 'hand' | 'rotary', format: '135' | '120', coversMl: number[]): Vessel =>
  ({ id: name, name, kind, format, coversMl, reels: coversMl.length, also: [] }) as unknown as Vessel
const tanks = [
  tank('two', 'hand', '135', [300, 600]),
  tank('tall', 'hand', '135', [300, 600, 900, 1150]),
  tank('roll', 'hand', '120', [500]),
  tank('drum', 'rotary', '135', [140, 170, 220, 270, 330]),
]

test('tanks are offered for what their reels and inserts take, those made for it first, with how many of it they take', () => {
  const offered = (format: Parameters<typeof vesselChoices>[1], kind?: 'hand' | 'rotary') =>
    vesselChoices(tanks, format, kind).map(({ name, detail }) => `${name}: ${detail}`)
  expect(offered('120')).toEqual(['roll: 1 film, by hand', 'two: 1 film, by hand', 'tall: 2 films, by hand', 'drum: 3 films, rotary'])
  expect(offered('4x5in')).toEqual(['tall: 6 sheets, by hand', 'drum: 6 sheets, rotary'])
  expect(offered('135-36', 'rotary')).toEqual(['drum: 5 films, rotary'])
  const first = (format: string, films: number) => vesselFor(tanks, format, { films })?.id ?? null
  expect([first('120', 1), first('120', 2), first('4x5in', 7), first('135-24', 3)]).toEqual(['roll', 'tall', null, 'tall'])
})
