import { seeded } from '../../chance/seeded'
import { DomainError } from '../../error'
import type { RgbLight } from './photoCast'

// looked up once: these run for every pixel
const { abs, max, sqrt } = Math

/** Something in a made-up picture: in shares of its width and height, with its linear reflectance; a ball is lit from the upper left. */
interface Thing {
  shape: 'box' | 'ball' | 'slope'
  x: number
  y: number
  width: number
  height: number
  light: [number, number, number]
  /** its own at the lower end, where it changes */
  below?: [number, number, number]
}
interface Scene {
  name: string
  things: Thing[]
  /** a place of neutral middle grey */
  grey: { x: number; y: number; width: number; height: number }
}
type Rgb = Thing['light']
const box = (x: number, y: number, width: number, height: number, light: Rgb, below?: Rgb): Thing => ({
  ...{ shape: 'box', x, y, width, height, light },
  ...(below ? { below } : {}),
})
const ball = (x: number, y: number, width: number, height: number, light: Rgb): Thing => ({ shape: 'ball', x, y, width, height, light })
const slope = (x: number, y: number, width: number, height: number, light: Rgb): Thing => ({ shape: 'slope', x, y, width, height, light })

const grey = (linear: number): Rgb => [linear, linear, linear]
const middle = grey(0.2)

/** Pictures that nobody took: colours one knows by heart, whites, blacks, and a place of neutral grey. */
const scenes: Scene[] = [
  {
    name: 'The mill at low water',
    grey: { x: 0.62, y: 0.78, width: 0.12, height: 0.12 },
    things: [
      box(0, 0, 1, 0.55, [0.24, 0.4, 0.68], [0.66, 0.73, 0.8]),
      box(0, 0.46, 1, 0.1, [0.1, 0.19, 0.06], [0.06, 0.12, 0.04]),
      box(0.18, 0.2, 0.3, 0.36, [0.32, 0.13, 0.09], [0.24, 0.1, 0.07]),
      slope(0.14, 0.06, 0.38, 0.15, [0.14, 0.12, 0.13]),
      ...[0.22, 0.31, 0.4].flatMap((x) => [0.26, 0.38].map((y) => box(x, y, 0.04, 0.07, [0.7, 0.66, 0.5]))),
      box(0, 0.56, 1, 0.44, [0.2, 0.27, 0.32], [0.07, 0.1, 0.11]),
      box(0.18, 0.56, 0.3, 0.16, [0.17, 0.1, 0.09], [0.11, 0.1, 0.1]),
      ball(0.55, 0.6, 0.3, 0.1, [0.62, 0.6, 0.55]),
      box(0.58, 0.62, 0.24, 0.03, [0.4, 0.05, 0.05]),
      box(0.56, 0.74, 0.26, 0.2, middle),
    ],
  },
  {
    name: 'Breakfast in the loft',
    grey: { x: 0.06, y: 0.8, width: 0.2, height: 0.12 },
    things: [
      box(0, 0, 1, 0.5, [0.6, 0.55, 0.46], [0.44, 0.4, 0.34]),
      box(0, 0.5, 1, 0.5, middle),
      box(0.68, 0.14, 0.16, 0.42, [0.08, 0.16, 0.42], [0.05, 0.1, 0.28]),
      ball(0.14, 0.4, 0.2, 0.24, [0.82, 0.8, 0.76]),
      ball(0.36, 0.46, 0.17, 0.2, [0.72, 0.6, 0.07]),
      ball(0.5, 0.5, 0.16, 0.2, [0.52, 0.06, 0.04]),
      ball(0.62, 0.52, 0.16, 0.24, [0.3, 0.44, 0.09]),
      ball(0.4, 0.66, 0.2, 0.18, [0.42, 0.2, 0.08]),
      box(0.74, 0.72, 0.18, 0.2, grey(0.75)),
    ],
  },
  {
    name: 'Hands at the wheel',
    grey: { x: 0.76, y: 0.06, width: 0.2, height: 0.16 },
    things: [
      box(0, 0, 1, 1, grey(0.2)),
      ball(0.28, 0.12, 0.5, 0.74, [0.24, 0.12, 0.05]),
      ball(0.33, 0.19, 0.4, 0.6, grey(0.2)),
      box(0.5, 0.14, 0.05, 0.7, [0.2, 0.1, 0.045]),
      box(0.29, 0.45, 0.48, 0.07, [0.2, 0.1, 0.045]),
      box(0, 0.44, 0.16, 0.24, [0.07, 0.12, 0.26], [0.05, 0.08, 0.18]),
      ball(0.08, 0.46, 0.24, 0.19, [0.52, 0.3, 0.21]),
      ball(0.24, 0.42, 0.13, 0.24, [0.54, 0.31, 0.22]),
      box(0.86, 0.5, 0.14, 0.26, [0.62, 0.6, 0.56], [0.5, 0.48, 0.45]),
      ball(0.7, 0.52, 0.24, 0.19, [0.22, 0.11, 0.07]),
      ball(0.66, 0.46, 0.13, 0.24, [0.24, 0.12, 0.08]),
      box(0, 0.86, 1, 0.14, [0.55, 0.07, 0.06], [0.42, 0.05, 0.05]),
    ],
  },
  {
    name: 'Snow on the dyke',
    grey: { x: 0.7, y: 0.6, width: 0.16, height: 0.16 },
    things: [
      box(0, 0, 1, 0.4, grey(0.52), grey(0.66)),
      box(0, 0.4, 1, 0.6, [0.78, 0.79, 0.82], [0.66, 0.68, 0.73]),
      slope(-0.1, 0.3, 0.7, 0.2, [0.72, 0.73, 0.76]),
      ...[0.1, 0.26, 0.42].map((x) => box(x, 0.3, 0.02, 0.3, [0.06, 0.05, 0.045])),
      ball(0.5, 0.42, 0.13, 0.3, [0.45, 0.06, 0.05]),
      ball(0.53, 0.34, 0.07, 0.14, [0.52, 0.31, 0.22]),
      box(0.66, 0.54, 0.24, 0.28, grey(0.2)),
    ],
  },
]

/** Names of the made-up pictures. */
export const sceneNames: readonly string[] = scenes.map((one) => one.name)

/** Light of a thing at a place of the picture; null where it does not reach. */
function lightAt({ shape, x, y, width, height, light, below = light }: Thing, atX: number, atY: number): Rgb | null {
  const [u, v] = [(atX - x) / width, (atY - y) / height]
  if (u < 0 || u > 1 || v < 0 || v > 1) return null
  const mixed = (share: number, times: number): Rgb => [
    times * (light[0] + share * (below[0] - light[0])),
    times * (light[1] + share * (below[1] - light[1])),
    times * (light[2] + share * (below[2] - light[2])),
  ]
  if (shape === 'box') return mixed(v, 1)
  if (shape === 'slope') return abs(u - 0.5) * 2 > v ? null : mixed(0, 1)
  const [dx, dy] = [2 * u - 1, 2 * v - 1]
  const out = dx * dx + dy * dy
  if (out > 1) return null
  return mixed(0, max(0.25, 0.35 + 0.65 * (sqrt(1 - out) - 0.35 * dx - 0.45 * dy)))
}

/** A made-up picture in linear light, three numbers a pixel, row by row, and where in it neutral grey is (pixels). */
export interface MadeUpPicture {
  width: number
  height: number
  linear: Float32Array
  grey: { x: number; y: number; width: number; height: number }
}

/**
 * One of the made-up pictures, as it is on a print that came out right.
 * @throws DomainError 'no-scene'
 * @example
 * madeUpPicture(0, { width: 30, height: 20 }).linear.length // → 1800
 */
export function madeUpPicture(index: number, { width, height }: { width: number; height: number }): MadeUpPicture {
  const scene = scenes[index]
  if (!scene) throw new DomainError('no-scene', `There are ${scenes.length} made-up pictures.`)
  const linear = new Float32Array(3 * width * height)
  // a little unevenness, as everything has
  const random = seeded(1 + index)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [atX, atY] = [(x + 0.5) / width, (y + 0.5) / height]
      let seen: Rgb = grey(0.3)
      for (const thing of scene.things) seen = lightAt(thing, atX, atY) ?? seen
      const uneven = 1 + 0.06 * (random() - 0.5)
      const i = 3 * (y * width + x)
      for (let k = 0; k < 3; k++) linear[i + k] = (seen[k] ?? 0) * uneven
    }
  const { x, y, width: wide, height: high } = scene.grey
  return { width, height, linear, grey: { x: x * width, y: y * height, width: wide * width, height: high * height } }
}

/**
 * Linear light of a pixel of a made-up picture.
 * @example
 * pixelOf({ width: 1, height: 1, linear: new Float32Array([0.25, 0.5, 1]), grey: { x: 0, y: 0, width: 1, height: 1 } }, 0) // → { r: 0.25, g: 0.5, b: 1 }
 */
export const pixelOf = ({ linear }: MadeUpPicture, pixel: number): RgbLight => ({
  ...{ r: linear[3 * pixel] ?? 0, g: linear[3 * pixel + 1] ?? 0, b: linear[3 * pixel + 2] ?? 0 },
})
