import fc from 'fast-check'
import { evening } from '../samples'
import { arrangeEvening } from './arrange'
import { checkEvening } from './checkEvening'
import { meets, whyNotEarlier } from './meets'
import type { PlacedLoad, RotaProblem } from './problem'

const [load] = evening.loads as [RotaProblem['loads'][0]]
const steps = [
  { s: 300, handsOn: [[0, 300]] as [number, number][], inBath: false, uses: ['closet'] },
  {
    s: 600,
    handsOn: [
      [0, 20],
      [300, 310],
      [580, 600],
    ] as [number, number][],
    inBath: true,
  },
  { s: 400, handsOn: [[0, 20]] as [number, number][], inBath: false, maxWaitS: 600, uses: ['wash'] },
]
const busy: RotaProblem = {
  ...evening,
  closesS: 90_000,
  cleanS: 600,
  hands: 2,
  vessels: ['a', 'b', 'c'].map((id) => ({ id, kinds: ['hand'], rolls: 2, resetS: 300 })),
  resources: [
    { id: 'closet', places: 1 },
    { id: 'wash', places: 1 },
  ],
  duty: [{ person: 0, fromS: 64_800, toS: 88_000 }],
  breaks: [{ person: 1, s: 900, earliestS: 66_000, latestS: 68_000 }],
  loads: Array.from({ length: 6 }, (_, i) => ({ ...load, id: `l${i}`, steps, temperatureC: i % 3 === 2 ? 38 : 20 })),
}
const { placed } = arrangeEvening(busy, { seed: 1, rounds: 5 })

test('a load that is moved meets something exactly where the check finds a breach', () => {
  expect(placed).toHaveLength(6)
  let [met, free] = [0, 0]
  fc.assert(
    fc.property(fc.nat(5), fc.integer({ min: -1500, max: 8000 }), fc.nat(2), fc.nat(1), (which, by, vessel, person) => {
      const mine = placed[which] as PlacedLoad
      const moved = { ...mine, startS: mine.startS + by, vessel: busy.vessels[vessel]?.id ?? '', person }
      const others = placed.filter((one) => one !== mine)
      const found = checkEvening(busy, {
        placed: [...others, moved],
        unplaced: [],
        lateS: 0,
        endS: 0,
        bound: { lateS: 0, endS: 0 },
        rounds: 0,
      })
      const breaches = found.filter((one) => !['rota-total', 'rota-bound'].includes(one.rule))
      const told = meets(busy, others, moved)
      expect(told.length > 0).toBe(breaches.length > 0)
      if (told.length > 0) met++
      else free++
    }),
    { numRuns: 600 },
  )
  // both happen
  expect(Math.min(met, free)).toBeGreaterThan(20)
})

test('what is in the way is told by whose hands it is, at which step, and until when', () => {
  const first = { load: 'l0', startS: 64_800, vessel: 'a', bath: 'tub', person: 0 }
  const second = { load: 'l1', startS: 64_800 + 300 + 295, vessel: 'b', bath: 'tub', person: 0 }
  expect(meets(busy, [first], second)).toEqual([{ kind: 'hands', person: 0, load: 'l0', step: 1, mine: 0, atS: 65_400, untilS: 65_410 }])
  expect(meets(busy, [first], { ...second, person: 1 })).toEqual([])
  expect(meets(busy, [first], { ...first, load: 'l1', person: 1 })).toMatchObject([
    { kind: 'vessel', load: 'l0', untilS: 64_800 + 1300 + 300 },
    { kind: 'resource', resource: 'closet', loads: ['l0'], untilS: 65_100 },
    { kind: 'resource', resource: 'wash' },
  ])
})

test('the reason why not earlier goes away a second later', () => {
  for (const { load: id } of placed) {
    const why = whyNotEarlier(busy, placed, id)
    // everything is at its earliest in this plan, or held back so that others can be
    for (const one of why) expect(one.kind).not.toBe('closes')
  }
  expect(placed.filter(({ load: id }) => whyNotEarlier(busy, placed, id).length > 0).length).toBeGreaterThan(3)
})
