import { areaLight, densityFromLuminance, type Area } from './density'
import { pictureDensities } from './pictureDensities'
import { testPicture } from './testPicture'

const code = (name: string) => expect.objectContaining({ code: name })
const read = (picture: ReturnType<typeof testPicture>, wedge = false) => {
  const [fresh, scrap, ...steps] = picture.patches
  return pictureDensities((area) => areaLight(picture.rgba, picture.width, area), {
    empty: picture.empty,
    fresh: fresh?.area ?? picture.empty,
    scrap: scrap?.area ?? picture.empty,
    wedge: wedge ? steps : [],
  })
}

test('density is the logarithm of empty over patch, and may be negative', () => {
  expect(densityFromLuminance({ empty: 1, patch: 0.01 })).toBeCloseTo(2, 12)
  expect(densityFromLuminance({ empty: 0.5, patch: 1 })).toBeCloseTo(-0.301, 3)
  expect(() => densityFromLuminance({ empty: 1, patch: 0 })).toThrow(code('out-of-range'))
})

test.each([0.1, 0.4, 0.8, 1.2, 1.6, 1.9])('a patch of density %f is read to ±0.03 from a faithful picture, as approximate', (density) => {
  const found = read(testPicture({ width: 480, height: 200, densities: [density, density / 2], seed: 7 }))
  expect(Math.abs(found.fresh.density - density)).toBeLessThan(0.03)
  expect(Math.abs(found.scrap.density - density / 2)).toBeLessThan(0.03)
  expect(found.approximate).toBe(true)
})

test('a wedge of known densities takes a bent tone curve out', () => {
  const bent = { width: 900, height: 240, densities: [1.3, 1.0, 0.3, 0.6, 0.9, 1.2, 1.5, 1.8], gamma: 0.8, seed: 3 }
  const [without, with_] = [read(testPicture(bent)), read(testPicture(bent), true)]
  expect(Math.abs(without.fresh.density - 1.3)).toBeGreaterThan(0.2)
  expect(Math.abs(with_.fresh.density - 1.3)).toBeLessThan(0.03)
  expect(Math.abs(with_.scrap.density - 1.0)).toBeLessThan(0.03)
  expect(with_.ratio).toBeCloseTo(1 / 1.3, 1)
  expect(with_.approximate).toBe(false)
})

test('beyond what a photograph shows it says opaque and gives no ratio', () => {
  const found = read(testPicture({ width: 480, height: 200, densities: [2.6, 1], seed: 5 }))
  expect([found.fresh.opaque, found.ratio]).toEqual([true, null])
})

test('a burnt-out light, a black picture, an area outside it and a wedge in the wrong order are refused', () => {
  expect(() => read(testPicture({ width: 240, height: 120, densities: [1, 0.8], lightLevel: 1.2 }))).toThrow(code('clipped'))
  expect(() => read(testPicture({ width: 240, height: 120, densities: [1, 0.8], lightLevel: 0.01 }))).toThrow(code('too-dark'))
  const picture = testPicture({ width: 240, height: 120, densities: [1, 0.8, 0.3, 0.9] })
  const [fresh, scrap, a, b] = picture.patches
  const area = (one: typeof fresh) => one?.area ?? picture.empty
  const lightOf = (one: Area) => areaLight(picture.rgba, picture.width, one)
  const marks = { empty: picture.empty, fresh: area(fresh), scrap: area(scrap) }
  expect(() => pictureDensities(lightOf, { ...marks, scrap: { x: 230, y: 5, width: 40, height: 5 }, wedge: [] })).toThrow(
    code('outside-picture'),
  )
  const turned = [
    { area: area(a), density: 0.9 },
    { area: area(b), density: 0.3 },
  ]
  expect(() => pictureDensities(lightOf, { ...marks, wedge: turned })).toThrow(code('wedge-order'))
})
