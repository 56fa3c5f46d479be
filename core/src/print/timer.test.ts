import { aPrint, aSetup, aStrip, aSwap } from '../samples'
import { contactSeconds, matchedSince } from './calibration'
import { movedPrint } from './sheet/moved'
import { timerCues, timerSteps } from './timer'

test('what was matched since a time was noted multiplies it, where it concerns that enlarger and paper; a contact strip says its first step that is as black as the next', () => {
  const at = (noted: number, body = aSwap) =>
    matchedSince([{ at: 5, body }], { noted, enlargerId: 'e', paperId: 'p' }).map((one) => one.factor)
  expect([at(1), at(5), at(9)]).toEqual([[1.25], [], []])
  expect(at(1, { ...aSwap, paperId: 'other' })).toEqual([])
  expect(at(1, { ...aSwap, of: 'lamp', enlargerId: 'e' })).toEqual([1.25])
  // two changes one after another compose
  const both = matchedSince(
    [1, 2].map((one) => ({ at: 5 + one, body: aSwap })),
    { noted: 1, enlargerId: 'e', paperId: 'p' },
  )
  expect(movedPrint(aPrint, { from: aSetup, to: aSetup, matched: both }).print.exposures[0]?.seconds).toBeCloseTo(10 * 1.25 ** 2, 9)
  const strip = { firstS: 4, stepStops: 0.5, bands: 6, chosen: null, densities: [1.4, 1.75, 1.95, 2.05, 2.07, 2.08] }
  expect(contactSeconds(strip)).toBeCloseTo(11.314, 3)
  expect(contactSeconds({ ...strip, densities: [1.4, 1.75, 1.95, 2.05, 2.1, 2.2] })).toBeNull()
  expect(contactSeconds({ ...strip, densities: [], chosen: 5 })).toBeNull()
})

test('a timer gives what a strip or a print is planned as, with the lamp’s lag in each, and holds nothing back beyond its exposure', () => {
  const strip = timerSteps(aStrip, 0.1)
  expect(strip.reduce((sum, one) => sum + one.seconds, 0)).toBeCloseTo(32, 9)
  expect(strip.map((one) => one.kind)).toEqual(['whole-strip', 'cover', 'cover', 'cover', 'cover'])
  expect(timerSteps({ ...aStrip, way: 'mask' }, 0).map((one) => one.seconds)[4]).toBeCloseTo(32, 9)
  const split = timerSteps(
    {
      kind: 'print',
      exposures: [
        { seconds: 20, filter: { kind: 'set', grade: '00' } },
        { seconds: 8, filter: { kind: 'set', grade: '5' } },
      ],
      places: [
        { name: 'face', stops: -1, exposure: 0 },
        { name: 'hand', stops: -1, exposure: 0 },
        { name: 'hat', stops: -1, exposure: 0 },
        { name: 'sky', stops: 1, exposure: 1 },
      ],
    },
    0,
  )
  expect(split.map((one) => [one.kind, one.part, one.seconds])).toEqual([
    ['sheet', 0, 20],
    ['sheet', 1, 8],
    ['burn', 1, 8],
  ])
  // three of half of it do not fit: the last has no light left to be held back of
  expect(split[0]?.holds.map((one) => [one.name, one.fromS, one.toS])).toEqual([
    ['face', 0, 10],
    ['hand', 10, 20],
  ])
  const ticks = (metronome: 'seconds' | 'stops' | 'none') =>
    timerCues(strip[0]!, metronome).flatMap((one) => (one.kind === 'tick' ? [Number(one.atS.toFixed(3))] : []))
  expect(ticks('seconds')).toEqual([1.1, 2.1, 3.1, 4.1, 5.1, 6.1, 7.1])
  expect(ticks('stops')).toEqual([1.1, 1.36, 1.687, 2.1, 2.62, 3.275, 4.1, 5.14, 6.45])
  expect(ticks('none')).toEqual([])
})
