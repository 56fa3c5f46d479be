import { betweenSources } from './betweenSources'
import { developingTime } from './developingTime'

const wall = [
  { temperatureC: 20, seconds: 600 },
  { temperatureC: 24, seconds: 450 },
]
const odo = [{ temperatureC: 20, seconds: 726 }]
const at = (temperatureC: number, charts = [wall, odo]) => betweenSources(charts, { temperatureC, k: 0.08 })

test('it is the geometric mean of what each says at that temperature', () => {
  const mean = (c: number) =>
    Math.sqrt(developingTime({ chart: wall, temperatureC: c }).seconds * developingTime({ chart: odo, temperatureC: c, k: 0.08 }).seconds)
  expect(at(20)).toEqual([
    { temperatureC: 20, seconds: expect.closeTo(660, 9) },
    { temperatureC: 24, seconds: expect.closeTo(mean(24), 9) },
  ])
  expect(at(22).map((one) => one.temperatureC)).toEqual([20, 22, 24])
  expect(at(22)[1]?.seconds).toBeCloseTo(mean(22), 9)
  // one source alone is itself
  expect(at(20, [wall])).toEqual([
    { temperatureC: 20, seconds: expect.closeTo(600, 9) },
    { temperatureC: 24, seconds: expect.closeTo(450, 9) },
  ])
})
test('a temperature that one of them cannot answer is left out, and is refused where it is the one wanted', () => {
  const warm = [{ temperatureC: 28, seconds: 300 }]
  expect(at(25, [wall, warm]).map((one) => one.temperatureC)).toEqual([24, 25])
  expect(() => at(20, [wall, warm])).toThrow(expect.objectContaining({ code: 'outside-range' }))
  expect(() => betweenSources([wall, odo], { temperatureC: 25, rangeC: [18, 24] })).toThrow(
    expect.objectContaining({ code: 'outside-range' }),
  )
})
