import { capacityFromTests, type TestedLife } from './capacityFromTests'
import { forecastClearing, forecastReading, isTrend } from './forecast'
import { bandMeets, leastSquares, studentT80, type Fit } from './leastSquares'

const xy = (...pairs: [number, number][]) => pairs.map(([x, y]) => ({ x, y }))
/** Where a new point is expected about a line, worked out from what the fit says. */
const band = (fit: Fit, t: number, x: number) => t * fit.residual * Math.sqrt(1 + 1 / fit.n + (x - fit.meanX) ** 2 / fit.spreadX)
const line = (fit: Fit, x: number) => fit.intercept + fit.slope * x

describe('a straight line', () => {
  test('through points has their slope, and the scatter left about it', () => {
    // by hand: Σ(x − 2)² = 10, Σ(x − 2)(y − 3) = 9
    const fit = leastSquares(xy([0, 2], [1, 1], [2, 4], [3, 2], [4, 6]))
    expect(fit).toMatchObject({ slope: expect.closeTo(0.9, 12), intercept: expect.closeTo(1.2, 12), n: 5, meanX: 2, spreadX: 10 })
    const squares = [0.8, -1.1, 1, -1.9, 1.2].reduce((sum, off) => sum + off * off, 0)
    expect(fit?.residual).toBeCloseTo(Math.sqrt(squares / 3), 12)
  })
  test('two points have no scatter; one, or all at one place, no line', () => {
    expect(leastSquares(xy([1, 3], [3, 7]))).toMatchObject({ slope: 2, intercept: 1, residual: 0 })
    expect([leastSquares(xy([1, 3])), leastSquares(xy([1, 3], [1, 5]))]).toEqual([null, null])
  })
})

test('80 % of readings stay within Student’s t, which comes down to the normal one', () => {
  expect([1, 5, 30].map(studentT80)).toEqual([3.0777, 1.4759, 1.3104])
  // rounded literature values of the 0.90 quantile
  expect(studentT80(40)).toBeCloseTo(1.3031, 4)
  expect(studentT80(60)).toBeCloseTo(1.2958, 4)
  expect(studentT80(120)).toBeCloseTo(1.2886, 4)
})

describe('the band of a new reading', () => {
  const points = xy([0, 1.5], [1, 1.0], [2, 2.4], [3, 2.2], [4, 3.4])
  const fit = leastSquares(points)!
  const turned = leastSquares(points.map(({ x, y }) => ({ x, y: -y })))!
  test.each([2.5, 3, 4, 6])('meets a level of %f ahead of the line and behind it', (level) => {
    const { ahead, behind } = bandMeets(fit, 1, level, -5)
    expect(line(fit, ahead) + band(fit, 1, ahead)).toBeCloseTo(level, 9)
    expect(line(fit, behind ?? NaN) - band(fit, 1, behind ?? NaN)).toBeCloseTo(level, 9)
    expect(ahead).toBeLessThan(behind ?? NaN)
    // upside down it is the same
    expect(bandMeets(turned, 1, -level, -5)).toEqual({ ahead: expect.closeTo(ahead, 9), behind: expect.closeTo(behind ?? NaN, 9) })
  })
  test('is met at once where it is past the level already', () => {
    const { ahead } = bandMeets(fit, 1, 3, -5)
    expect(bandMeets(fit, 1, 3, ahead + 0.5).ahead).toBe(ahead + 0.5)
    expect(bandMeets(fit, 1, 3, ahead - 0.5).ahead).toBeCloseTo(ahead, 9)
    expect(bandMeets(fit, 1, 3, ahead + 0.5).behind).toBeCloseTo(bandMeets(fit, 1, 3, -5).behind ?? NaN, 9)
  })
  test('so wide that it opens faster than the line rises, it is never behind it', () => {
    const flat = leastSquares(xy([0, 1], [1, 3], [2, 0], [3, 2.6]))!
    expect(flat.slope).toBeGreaterThan(0)
    expect(bandMeets(flat, 1.8856, 9, 3).behind).toBeNull()
  })
  test('without any scatter it is the line', () => {
    const straight = leastSquares(xy([0, 1], [2, 2], [4, 3]))!
    expect(bandMeets(straight, 1.8856, 4, 4)).toEqual({ ahead: 6, behind: 6 })
    expect(bandMeets(straight, 1.8856, 4, 7)).toEqual({ ahead: 7, behind: 6 })
  })
})

describe('rolls that are left', () => {
  const falling = [1.4, 1.32, 1.33, 1.21].map((value, i) => ({ rollsPerLitre: 2 * i, value }))
  test('are counted from the last reading, with the band’s crossings around them', () => {
    const fit = leastSquares(falling.map((one) => ({ x: one.rollsPerLitre, y: one.value })))!
    const found = forecastReading(falling, 1.05, 'down')!
    const t = studentT80(2)
    expect(line(fit, 6 + found.rollsPerLitreLeft)).toBeCloseTo(1.05, 9)
    expect(line(fit, 6 + (found.low ?? 0)) - band(fit, t, 6 + (found.low ?? 0))).toBeCloseTo(1.05, 9)
    if (found.high !== null) expect(line(fit, 6 + found.high) + band(fit, t, 6 + found.high)).toBeCloseTo(1.05, 9)
  })
  test('are none where the trend runs the other way, is flat, or is no trend yet', () => {
    expect([forecastReading(falling, 2, 'up'), forecastReading(falling.slice(0, 1), 1, 'down')]).toEqual([null, null])
    const flat = [0, 2, 4].map((rollsPerLitre) => ({ rollsPerLitre, value: 1.2 }))
    expect([forecastReading(flat, 1, 'down'), forecastReading(flat, 2, 'up')]).toEqual([null, null])
  })
  test('are never under nothing, whatever the limit is past', () => {
    const past = forecastReading(falling, 1.5, 'down')
    expect(past).toMatchObject({ rollsPerLitreLeft: 0, low: 0, high: 0 })
  })
  test('twice the time of the freshest reading, in whatever order they came', () => {
    const read = (rollsPerLitre: number, seconds: number) => ({ rollsPerLitre, seconds })
    expect(forecastClearing([read(6, 42.4264068711929), read(0, 30)])?.rollsPerLitreLeft).toBeCloseTo(6, 9)
    expect(() => forecastClearing([read(-1, 30), read(2, 40)])).toThrow()
    expect(() => forecastReading([{ rollsPerLitre: 0, value: -1 }], 1, 'up')).toThrow()
  })
  test('two that rise are a trend, two that do not are none; with three it is more than their scatter', () => {
    const read = (...seconds: number[]) => isTrend(seconds.map((s, i) => ({ rollsPerLitre: 5 * i, seconds: s })))
    expect([read(30), read(30, 31), read(30, 30), read(31, 30)]).toEqual([false, true, false, false])
    expect([read(30, 33, 36), read(30, 60, 31), read(36, 33, 30)]).toEqual([true, false, false])
  })
})

describe('a capacity of one’s own', () => {
  const cleared = (doublesAt: number, ...uses: number[]): TestedLife => ({
    clearing: uses.map((x) => ({ rollsPerLitre: x, seconds: 30 * 2 ** (x / doublesAt) })),
    failedAtRollsPerL: null,
  })
  const failed = (at: number): TestedLife => ({ clearing: [], failedAtRollsPerL: at })
  const three = [failed(18), failed(20), failed(22)]
  test('takes no forecast far beyond what was seen, and none from a life that shows nothing', () => {
    expect(capacityFromTests([...three, cleared(20, 0, 7)])?.rollsPerL).toBeCloseTo(20, 9)
    expect([capacityFromTests([...three, cleared(22, 0, 7)]), capacityFromTests([...three, cleared(20, 0)])]).toEqual([null, null])
  })
  test('a failure counts before its readings, and is more than nothing', () => {
    expect(capacityFromTests([...three, { ...cleared(20, 0, 12), failedAtRollsPerL: 24 }])?.rollsPerL).toBe(21)
    expect(() => capacityFromTests([...three, failed(0)])).toThrow()
  })
  test('its interval never begins under nothing', () => {
    const wide = capacityFromTests([failed(1), failed(1), failed(1), failed(60)])
    expect(wide?.low).toBe(0)
    expect(capacityFromTests([...three, failed(20)])?.low).toBeCloseTo(20 - (1.6377 * 1.63299) / 2, 3)
  })
})
