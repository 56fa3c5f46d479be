import type { RunSummary } from '@selvrin/core/contract'
import { againKinds, cameOut } from './againKinds'

const run = (number: number, films: string[], part: Partial<RunSummary> = {}): RunSummary => ({
  ...{
    id: `r${number}`,
    version: 1,
    number,
    state: 'done',
    vessel: 'Tank 2',
    processName: 'Black-and-white negative',
    films,
    rolls: films.length,
  },
  ...{
    eis: films.map(() => 400),
    results: films.map(() => null),
    owners: films.map(() => 'Tilda'),
    byMember: false,
    by: '',
    plannedAt: 0,
    startedAt: 0,
    endedAt: 0,
  },
  ...part,
})

test('the same film at the same index by the same process is one kind: its newest run, how often, how it came out', () => {
  const kinds = againKinds(
    [
      run(9, ['Millrace 400', 'Millrace 400'], { results: ['right', 'dense'] }),
      run(8, ['Millrace 400'], { eis: [800] }),
      run(7, ['Millrace 400'], { results: ['right'] }),
      run(6, ['Millrace 400'], { state: 'abandoned' }),
      run(5, ['Millrace 400'], { processName: 'Monobath' }),
      run(4, []),
    ],
    9,
  )
  expect(kinds.map((one) => [one.number, one.film, cameOut(one)])).toEqual([
    [9, 'Millrace 400 at 400', '2 times, right 2 of 3'],
    [8, 'Millrace 400 at 800', 'once'],
    [5, 'Millrace 400 at 400', 'once'],
  ])
  expect(cameOut({ ...kinds[0]!, right: 3 })).toBe('2 times, right')
  expect(againKinds([run(9, ['A']), run(8, ['B'])], 1).map((one) => one.number)).toEqual([9])
})
