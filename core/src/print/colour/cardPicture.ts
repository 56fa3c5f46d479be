import { seeded } from '../../chance/seeded'
import type { Area } from '../../proof/density'
import type { RgbLight } from './photoCast'
import { coded } from './render'
import { shifted, type LayerShift } from './ringAround'
import { pixelOf, type MadeUpPicture } from './scene'

// looked up once: these run for every pixel
const { round, sqrt } = Math

/** A made-up photograph of a print that lies beside a grey card, with the areas of the card and of the print's grey. */
export interface CardPicture {
  rgba: Uint8ClampedArray<ArrayBuffer>
  width: number
  height: number
  card: Area
  print: Area
}

/**
 * What a faithful camera would write, as sRGB, of a print on a table beside a grey card; `tint` is the light of the lamp by channel, `noise` the standard deviation in steps of 255.
 * @example
 * cardPicture(madeUpPicture(0, { width: 60, height: 40 }), { r: 0, g: 0, b: 0.25 }, { seed: 1 }).width // → 90
 */
export function cardPicture(
  picture: MadeUpPicture,
  by: LayerShift,
  { seed, tint = { r: 1, g: 1, b: 1 }, noise = 1.2 }: { seed: number; tint?: RgbLight; noise?: number },
): CardPicture {
  const [beside, edge] = [round(picture.width / 2), 4]
  const [width, height] = [picture.width + beside, picture.height]
  const rgba = new Uint8ClampedArray(4 * width * height)
  const random = seeded(seed)
  const card: Area = { x: edge, y: round(height / 4), width: beside - 2 * edge, height: round(height / 2) }
  const isCard = (x: number, y: number): boolean => x >= card.x && x < card.x + card.width && y >= card.y && y < card.y + card.height
  const spread = noise * sqrt(3)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const table = isCard(x, y) ? 0.2 : 0.08
      const { r, g, b } = x < beside ? { r: table, g: table, b: table } : shifted(pixelOf(picture, y * picture.width + x - beside), by)
      const grain = spread * (random() + random() + random() + random() - 2)
      const bytes = [r * tint.r, g * tint.g, b * tint.b].map((linear) => round(coded(linear) + grain + random() - 0.5))
      rgba.set([...bytes, 255], 4 * (y * width + x))
    }
  const inner = (area: Area): Area => ({
    ...{ x: area.x + area.width / 4, y: area.y + area.height / 4 },
    ...{ width: area.width / 2, height: area.height / 2 },
  })
  return { rgba, width, height, card: inner(card), print: inner({ ...picture.grey, x: picture.grey.x + beside }) }
}
