import type { Area } from './density'

// looked up once: these run for every pixel
const { floor, imul, round, sqrt } = Math

export interface TestPicture {
  rgba: Uint8ClampedArray<ArrayBuffer>
  width: number
  height: number
  empty: Area
  patches: { area: Area; density: number }[]
}

/**
 * A made-up photograph of patches of known density on a light box: patches in a row, each on the bare light, with the noise of a sensor. It is what
 * a faithful camera would write as sRGB. `lightLevel` is the linear luminance of the bare light, `gamma` bends the tone curve as phones do (1 faithful),
 * `noise` the standard deviation in steps of 255. The same seed makes the same picture.
 * @example
 * testPicture({ width: 40, height: 10, densities: [0, 0.3] }).width // → 40
 */
export function testPicture(ask: {
  width: number
  height: number
  densities: number[]
  lightLevel?: number
  gamma?: number
  noise?: number
  seed?: number
}): TestPicture {
  const { width, height, densities, lightLevel = 0.82, gamma = 1, noise = 1.2, seed = 1 } = ask
  const rgba = new Uint8ClampedArray(width * height * 4)
  const slot = width / (densities.length + 1)
  const area = (i: number, inset: number): Area => ({
    x: round(slot * (i + inset)),
    y: round(height * (0.2 + inset / 2)),
    width: round(slot * (1 - 2 * inset)),
    height: round(height * (0.6 - inset)),
  })
  // the patch fills most of its slot; what is measured is its inner part
  const drawn = densities.map((density, i) => ({ area: area(i + 1, 0.12), level: coded(lightLevel * 10 ** -density, gamma) }))
  const random = uniform(seed)
  const spread = noise * sqrt(3)
  const background = coded(lightLevel, gamma)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const patch = drawn[floor(x / slot) - 1]
      const inside =
        patch && x >= patch.area.x && x < patch.area.x + patch.area.width && y >= patch.area.y && y < patch.area.y + patch.area.height
      const level = inside ? patch.level : background
      const i = (y * width + x) * 4
      // rounding with noise keeps the mean of dark patches true between two steps; the sum of four uniforms is near enough to normal
      const grain = spread * (random() + random() + random() + random() - 2)
      for (let channel = 0; channel < 3; channel++) rgba[i + channel] = round(level + grain + (random() - 0.5))
      rgba[i + 3] = 255
    }
  return { rgba, width, height, empty: area(0, 0.25), patches: densities.map((density, i) => ({ area: area(i + 1, 0.25), density })) }
}

/** The sRGB value, unrounded, of a linear luminance through a bent tone curve. */
function coded(linear: number, gamma: number): number {
  const v = Math.max(0, Math.min(1, linear)) ** gamma
  return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055)
}

/** mulberry32 */
function uniform(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = imul(state ^ (state >>> 15), 1 | state)
    t = (t + imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}
