import { bathFindings, bathForRun, isBathOf } from './bathFindings'

const log = (c: (minute: number) => number, on: number) => Array.from({ length: 13 }, (_, i) => ({ s: i * 30, c: c(i / 2), on }))
const rules = (readings: ReturnType<typeof log>, setC: number | null = 38, probeC: number | null = null) =>
  bathFindings({ readings, setC, probeC }).map((one) => one.rule)

test('a bath that does as it should has nothing said of it: warming, holding, cooling towards a lower set point', () => {
  expect(rules(log((m) => 25 + 0.6 * m, 1))).toEqual([])
  expect(rules(log(() => 37.98, 0.13))).toEqual([])
  expect(rules(log((m) => 39 - 0.05 * m, 0))).toEqual([])
  expect(rules([])).toEqual([])
})
test('a relay that sticks on, or off, and a heater that warms nothing are said; not from a minute alone', () => {
  expect(rules(log((m) => 38.5 + 0.3 * m, 1))).toEqual(['bath-sticks'])
  expect(rules(log((m) => 36 - 0.05 * m, 0))).toEqual(['bath-off'])
  expect(rules(log(() => 30, 1))).toEqual(['bath-cold'])
  expect(rules(log(() => 30, 1).slice(0, 3))).toEqual([])
})
test('a probe that reads otherwise in the same bath is said, one that lies elsewhere is not', () => {
  expect(
    rules(
      log(() => 38, 0.1),
      38,
      37.7,
    ),
  ).toEqual(['bath-drifts'])
  expect(
    rules(
      log(() => 38, 0.1),
      38,
      37.8,
    ),
  ).toEqual([])
  expect(
    rules(
      log(() => 38, 0.1),
      38,
      21,
    ),
  ).toEqual([])
})

test('a bath of this run that is not at its temperature is said; one that is set for another run is not', () => {
  const said = (bathC: number, setC: number | null, wantedC = 37.8, toleranceC = 0.15) =>
    bathForRun({ bathC, setC, wantedC, toleranceC }).map((one) => one.message)
  expect(said(36.2, 37.8)).toEqual([expect.stringContaining('36.2 °C and this run wants 37.8 °C')])
  expect([said(37.95, 37.8), said(37.9, 37.8, 37.8, 0), said(20, 37.8, 20, 0.5), said(37.8, 37.8, 20, 0.5), said(30, null)]).toEqual([
    [],
    [],
    [],
    [],
    [],
  ])
  expect([said(37.6, 38), said(38.6, 38)].map((one) => one.length)).toEqual([1, 1])
  expect([isBathOf({ setC: 39.3, wantedC: 37.8 }), isBathOf({ setC: 39.31, wantedC: 37.8 })]).toEqual([true, false])
})
