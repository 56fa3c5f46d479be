import { run } from '../samples'
import type { Plan, PlanStep } from './load'
import { washFigures } from './washFigures'

const [, , fix, fill] = run.steps
const running = (seconds: number, part: Partial<PlanStep> = {}): PlanStep => {
  const { inversions: _none, ...agitation } = fill!.agitation
  return { ...fill!, agitation, seconds, temperatureC: 20, ...part }
}
const of = (...steps: PlanStep[]) => washFigures({ ...run, steps: [fix!, ...steps] } as Plan)
const aid: PlanStep = { ...fix!, kind: 'wash-aid' }

test('three fills leave a ten-thousandth of what was carried in, in less than a litre; running water would be thirty', () => {
  const { fills, waterL, otherL, running: none, warnings } = washFigures(run)!
  expect(fills).toMatchObject({ count: 3, ml: 300 })
  expect(fills?.left).toBeCloseTo((15 / 315) ** 3, 9)
  expect([waterL, otherL, none, warnings]).toEqual([expect.closeTo(0.9, 9), 30, null, []])
})

test('running water leaves what is in the layer by its time, a third as long after a wash aid', () => {
  expect(of(running(600))?.running).toEqual({ seconds: 600, left: expect.closeTo(Math.exp(-600 / 65), 9) })
  expect(of(aid, running(300))?.running?.left).toBeCloseTo(Math.exp(-300 / 33), 9)
  expect(of(running(600))).toMatchObject({ fills: null, waterL: 30, otherL: 0.9 })
  expect(of(running(300), running(300))?.running?.left).toBeCloseTo(Math.exp(-600 / 65), 9)
})

test('a rinse before the wash aid is a fill, and changes in a drum are as many', () => {
  expect(of(running(60, { kind: 'rinse' }), aid, running(300))).toMatchObject({
    fills: { count: 1 },
    running: { seconds: 300 },
    waterL: 15.3,
  })
  expect(of(running(300, { changes: 5 }))).toMatchObject({ fills: { count: 5 }, running: null })
})

test('a vessel larger than three litres takes one of its volumes a minute', () => {
  const vessel = { ...run.vessel, coversMl: 5000 }
  expect(washFigures({ ...run, vessel, steps: [fix!, running(600)] })?.waterL).toBe(50)
})

test('cold water is told of: below fifteen degrees for fills, below ten for any', () => {
  expect(of({ ...fill!, temperatureC: 14 })?.warnings.join()).toMatch(/15 °C/)
  expect(of({ ...fill!, temperatureC: 15 })?.warnings).toEqual([])
  expect(of(running(600, { temperatureC: 9 }))).toMatchObject({
    running: { left: null },
    warnings: [expect.stringMatching(/does not wash/)],
  })
  expect(of(running(600, { temperatureC: 10 }))?.running?.left).toBeCloseTo(Math.exp(-600 / 97.5), 9)
})

test('only what comes after the last fixing bath is the wash; a plan without one says nothing', () => {
  expect(washFigures({ ...run, steps: [fill!, fill!, fix!, fill!] })?.fills?.count).toBe(1)
  expect(washFigures({ ...run, steps: [fix!] })).toBeNull()
  expect(washFigures({ ...run, steps: [fill!] })).toBeNull()
})
