import { linearLight } from '../../proof/density'
import { shifted, type LayerShift } from './ringAround'
import type { MadeUpPicture } from './scene'

// looked up once: these run for every pixel
const { max, min, round, sqrt } = Math

/**
 * sRGB value (0 to 255, unrounded) of linear light.
 * @example
 * coded(0.2) // → 123.555
 */
export function coded(linear: number): number {
  const v = max(0, min(1, linear))
  return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055)
}

/** How each of the 256 values of a channel looks when its layer is so much denser. */
function tableOf(channel: 'r' | 'g' | 'b', by: LayerShift): Uint8ClampedArray {
  return Uint8ClampedArray.from(linearLight, (linear) => coded(shifted({ r: linear, g: linear, b: linear }, by)[channel]))
}

/**
 * A picture of a print, as RGBA bytes, as it would look with its layers so much denser.
 * @example
 * [...recast(new Uint8ClampedArray([128, 128, 128, 255]), { r: 0, g: 0, b: 0.25 })] // → [128, 128, 98, 255]
 */
export function recast(rgba: Uint8ClampedArray, by: LayerShift): Uint8ClampedArray<ArrayBuffer> {
  const [red, green, blue] = [tableOf('r', by), tableOf('g', by), tableOf('b', by)]
  const out = new Uint8ClampedArray(rgba)
  for (let i = 0; i < out.length; i += 4) {
    out[i] = red[rgba[i] ?? 0] ?? 0
    out[i + 1] = green[rgba[i + 1] ?? 0] ?? 0
    out[i + 2] = blue[rgba[i + 2] ?? 0] ?? 0
  }
  return out
}

/** steps of linear light that are told apart, closer together where it is dark: worked out once, they spare a power for every pixel */
const steps = 4096
const stepOf = (linear: number): number => round((steps - 1) * sqrt(min(1, max(0, linear))))

/**
 * A made-up picture as RGBA bytes, its layers so much denser.
 * @example
 * rendered({ width: 1, height: 1, linear: new Float32Array([0.2, 0.2, 0.2]), grey: { x: 0, y: 0, width: 1, height: 1 } }, { r: 0, g: 0, b: 0 }).length // → 4
 */
export function rendered({ width, height, linear }: MadeUpPicture, by: LayerShift): Uint8ClampedArray<ArrayBuffer> {
  const tables = (['r', 'g', 'b'] as const).map((channel) =>
    Uint8ClampedArray.from({ length: steps }, (_, step) => {
      const light = (step / (steps - 1)) ** 2
      return coded(shifted({ r: light, g: light, b: light }, by)[channel])
    }),
  )
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255)
  for (const [channel, table] of tables.entries())
    for (let from = channel, to = channel; from < linear.length; from += 3, to += 4) rgba[to] = table[stepOf(linear[from] ?? 0)] ?? 0
  return rgba
}
