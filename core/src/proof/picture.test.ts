import type { AreaLight } from './density'
import { controlChart } from './controlChart'
import { judgeStrips, requireLimits, requireStrip, stripMeans, usualStripLimits, type StripReading } from './controlStrip'
import { pictureDensities, type Marks } from './pictureDensities'

const code = (name: string) => expect.objectContaining({ code: name })

describe('densities out of a photograph', () => {
  /** Every area is named by its x, and has that much light. */
  const light = (mean: number, part: Partial<AreaLight> = {}): AreaLight => ({
    mean,
    deviation: 0,
    clipped: 0,
    black: 0,
    pixels: 100,
    ...part,
  })
  const at = (x: number) => ({ x, y: 0, width: 1, height: 1 })
  const dense = (density: number, more: Partial<AreaLight> = {}) => light(0.5 * 10 ** -density, more)
  const read = (lights: AreaLight[], wedge: number[] = [], base?: number) =>
    pictureDensities((area) => lights[area.x]!, {
      ...{ empty: at(0), fresh: at(1), scrap: at(2), wedge: wedge.map((density, i) => ({ area: at(3 + i), density })) },
      ...(base === undefined ? {} : { base: at(base) }),
    } as Marks)
  const bare = light(0.5)

  test('the bare light must be neither burnt out nor black', () => {
    expect(() => read([light(0.5, { clipped: 0.5 }), bare, bare])).toThrow(code('clipped'))
    expect(() => read([light(0.02), bare, bare])).toThrow(code('too-dark'))
    expect(() => read([light(0.021), light(0.01), light(0.01)])).not.toThrow()
  })
  test('a ratio is net of base and fog, never under nothing, and none where nothing was blackened', () => {
    expect(read([bare, dense(1.2), dense(0.9)]).ratio).toBeCloseTo(0.75, 6)
    const over = read([bare, dense(1.2), dense(0.9), dense(0.2)], [], 3)
    expect([over.ratio, over.base?.density]).toEqual([expect.closeTo(0.7, 6), expect.closeTo(0.2, 6)])
    expect(read([bare, dense(1.2), dense(0.1), dense(0.2)], [], 3).ratio).toBe(0)
    expect(read([bare, dense(1.2), dense(0.9)]).base).toBeNull()
    expect(read([bare, dense(0.05), dense(0.9)]).ratio).toBeNull()
    expect(read([bare, dense(0.06), dense(0.03)]).ratio).toBeCloseTo(0.5, 6)
  })
  test('what is too dark to tell apart is opaque, and gives no ratio', () => {
    const black = read([bare, dense(1, { black: 0.51 }), dense(0.9)])
    expect([black.fresh.opaque, black.ratio]).toEqual([true, null])
    expect(read([bare, dense(1, { black: 0.5 }), dense(0.9)]).fresh.opaque).toBe(false)
    expect(read([bare, light(0), dense(0.9)]).fresh).toMatchObject({ opaque: true, spread: 0 })
  })
  test('its spread is that of its light, as a density', () =>
    expect(read([bare, dense(1, { deviation: 0.005 }), dense(0.9)]).fresh.spread).toBeCloseTo(0.1 / Math.LN10, 9))

  /** What the picture shows of a step is 0.8 of what it is. */
  const bent = (...known: number[]) => known.map((density) => dense(density * 0.8))
  test('a wedge of two steps takes the bend out, between them, before them and beyond them', () => {
    const through = (seen: number) => read([bare, dense(seen), dense(0.9), ...bent(0.5, 1.0)], [0.5, 1.0]).fresh.density
    expect([0.2, 0.4, 0.6, 0.8, 1.2].map(through)).toEqual([0.25, 0.5, 0.75, 1, 1.5].map((density) => expect.closeTo(density, 6)))
    expect(read([bare, dense(0.8), dense(0.8), ...bent(0.5, 1.0)], [0.5, 1.0]).approximate).toBe(false)
  })
  test('each step of a wedge counts by itself, in whatever order they were marked', () => {
    const lights = [bare, dense(0.6), dense(1.3), dense(1), dense(0.2), dense(1.6)]
    const found = read(lights, [1.5, 0.4, 1.8])
    // 0.2 is 0.4, 1 is 1.5, 1.6 is 1.8
    expect(found.wedge.map((step) => step.known)).toEqual([0.4, 1.5, 1.8])
    expect(found.fresh.density).toBeCloseTo(0.4 + (0.4 / 0.8) * 1.1, 6)
    expect(found.scrap.density).toBeCloseTo(1.5 + (0.3 / 0.6) * 0.3, 6)
    expect(read([bare, dense(0.1), dense(1.3), dense(1), dense(0.2), dense(1.6)], [1.5, 0.4, 1.8]).fresh.density).toBeCloseTo(0.2, 6)
  })
  test('one step is no wedge, and two alike or the wrong way round are none either', () => {
    expect(read([bare, dense(0.8), dense(0.9), ...bent(1.0)], [1.0])).toMatchObject({
      approximate: true,
      fresh: { density: expect.closeTo(0.8, 6) },
    })
    expect(() => read([bare, dense(0.8), dense(0.9), dense(0.4), dense(0.8)], [1, 1])).toThrow(code('wedge-order'))
    expect(() => read([bare, dense(0.8), dense(0.9), dense(0.4), dense(0.8)], [1, 0.5])).toThrow(code('wedge-order'))
    // a first step that is the bare light itself needs no other nothing
    expect(read([bare, dense(0.4), dense(0.9), dense(0), dense(0.8)], [0, 1]).fresh.density).toBeCloseTo(0.5, 6)
  })
})

describe('control strips', () => {
  const strip = (part: Partial<StripReading> = {}): StripReading => ({ fog: 0.2, low: 0.5, high: 1.3, max: 2, ...part })
  const means = stripMeans(strip(), [], null)
  const { fog, low, contrast } = usualStripLimits
  const causes = (part: Partial<StripReading>) =>
    judgeStrips([strip(), strip(part)], means)
      .says.filter((one) => /:/.test(one) && !/limit/.test(one))
      .map((one) => one.split(':')[0])
  const past = 0.01
  test('densities rise from base and fog to the maximum', () => {
    expect(() => requireStrip(strip({ low: 0.19 }))).toThrow('The low density (0.19) is under base + fog (0.2)')
    expect(() => requireStrip(strip({ high: 0.49 }))).toThrow('The high density (0.49) is under the low one (0.5)')
    expect(() => requireStrip(strip({ low: 0.2, high: 0.2, max: 0.2 }))).not.toThrow()
  })
  test('the usual causes stand by what is off, and in which direction', () => {
    const up = { low: 0.5 + low.action + past }
    expect(causes({ ...up, high: 1.3 + low.action + contrast.action + 2 * past })).toEqual(['Low and contrast are both high'])
    expect(causes({ ...up, high: 1.3 + low.action + past })).toEqual([])
    expect(causes({ high: 1.3 + contrast.action + past })).toEqual([])
    expect(causes({ high: 1.3 - contrast.action - past })).toEqual(['Contrast is falling'])
    const down = { low: 0.5 - low.action - past, high: 1.3 - low.action - past }
    const fogged = { fog: 0.2 + fog.action + past }
    expect([causes(down), causes({ ...down, ...fogged }), causes(fogged), causes({ ...fogged, ...up, high: up.low + 0.8 })]).toEqual([
      [],
      ['Low speed with high fog'],
      ['High base + fog'],
      ['High base + fog'],
    ])
    // exactly at a limit nothing is off
    expect(causes({ fog: 0.2 + fog.action })).toEqual([])
    expect(causes({ fog: 0.2 - fog.action - past })).toEqual([])
  })
  test('a contrast that falls strip by strip is a cause before it is past any limit; one that rises is none', () => {
    const row = (step: number) =>
      judgeStrips(
        [0, 1, 2, 3, 4, 5].map((i) => strip({ high: 1.3 + i * step })),
        means,
      )
    expect(row(-0.005)).toMatchObject({
      newest: 'watch',
      says: [expect.stringContaining('six strips in a row'), expect.stringContaining('exhausted')],
    })
    expect(row(0.005)).toMatchObject({ newest: 'watch', says: [expect.stringContaining('six strips in a row')] })
    // falling back to the mean from above is no exhaustion yet
    const above = judgeStrips(
      [6, 5, 4, 3, 2, 1].map((i) => strip({ high: 1.3 + i * 0.005 })),
      means,
    )
    expect(above.says).toEqual([expect.stringContaining('six strips in a row')])
    // a trend of before that has ended says nothing any more
    const over = judgeStrips(
      [0, 1, 2, 3, 4, 5, 4].map((i) => strip({ high: 1.3 - i * 0.005 })),
      means,
    )
    expect(over).toMatchObject({ newest: 'in-control', says: [] })
  })
  test('what was said of an earlier strip is not said of the newest', () => {
    const found = judgeStrips([strip({ fog: 0.2 + fog.control + past }), strip()], means)
    expect([found.newest, found.says, found.flags.fog.length]).toEqual(['in-control', [], 1])
    expect(judgeStrips([], means)).toMatchObject({ newest: 'in-control', says: [] })
  })
  test('a mean wants five strips of two batches, the judged one left out; without one judged all count', () => {
    const good = (...batches: string[]) => batches.map((batchId, i) => ({ strip: strip({ fog: 0.2 + i / 100 }), batchId }))
    expect(stripMeans(null, good('a', 'a', 'a', 'b', 'b'), null).fog).toBeCloseTo(0.22, 9)
    expect(() => stripMeans(null, good('a', 'a', 'a', 'b', 'b'), 'b')).toThrow(code('no-reference'))
    expect(() => stripMeans(null, good('a', 'a', 'a', 'b'), null)).toThrow(code('no-reference'))
  })
  test('a control limit lies outside its action limit', () => {
    expect(() => requireLimits({ ...usualStripLimits, fog: { action: 0.03, control: 0.03 } })).toThrow(code('limits'))
    expect(() => requireLimits(usualStripLimits)).not.toThrow()
  })
})

describe('a control chart', () => {
  const limits = { mean: 0, action: 2, control: 3 }
  const rules = (points: number[]) => controlChart(points, limits).map((flag) => `${flag.index} ${flag.rule}`)
  test('takes numbers alone', () => {
    for (const points of [[0, Number.NaN], [Infinity]]) expect(() => controlChart(points, limits)).toThrow(code('out-of-range'))
    expect(() => controlChart([0], { ...limits, mean: Number.NaN })).toThrow(code('out-of-range'))
  })
  test('looks back no farther than its rules, on either side', () => {
    expect(rules([2.5, 0, 0, 2.5])).toEqual(['0 action', '3 action'])
    expect(rules([1.6, 1.5, 1, 0.5, 0, -0.5])).toEqual(['5 trend'])
    expect(rules([5, 1.5, 1, 0.5, 0, 0.2, 0.4]).filter((one) => one.includes('trend'))).toEqual([])
    // seven points of which only the last six rise
    expect(rules([0.5, -1, -0.5, 0, 0.5, 1, 1.5])).toEqual(['6 trend'])
    expect(rules(Array(9).fill(-1))).toEqual(['8 side'])
    expect(rules([-1, -1, -1, -1, -1, -1, -1, -1, 0])).toEqual([])
    expect(rules([1, 0, ...Array(8).fill(-1)])).toEqual([])
  })
})
