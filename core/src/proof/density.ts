import { DomainError, requirePositive } from '../error'

/**
 * Density from two luminances in one linear scale: log10(empty / patch). May be negative where the patch is brighter.
 * @example
 * densityFromLuminance({ empty: 1, patch: 0.1 }) // → 1
 */
export function densityFromLuminance({ empty, patch }: { empty: number; patch: number }): number {
  requirePositive({ 'The luminance of the empty light': empty, 'The luminance of the patch': patch })
  return Math.log10(empty / patch)
}

/** Linear light, 0 to 1, of each of the 256 values of an sRGB channel (IEC 61966-2-1). */
export const linearLight: Float64Array = Float64Array.from({ length: 256 }, (_, v) => {
  const s = v / 255
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4
})

/** Relative luminance of linear RGB (sRGB primaries). */
const weights = [0.2126, 0.7152, 0.0722] as const

/** A rectangle in pixels of the picture. */
export interface Area {
  x: number
  y: number
  width: number
  height: number
}

export interface AreaLight {
  /** mean relative luminance, linear, 0 to 1 */
  mean: number
  /** standard deviation of the luminance within it */
  deviation: number
  /** share of pixels with a channel at its end (255) */
  clipped: number
  /** share of pixels whose channels are all 0 or 1: too dark to tell apart */
  black: number
  pixels: number
}

/**
 * Mean linear luminance of an area of a picture given as RGBA bytes, row by row. An area outside the picture throws `outside-picture`.
 * @example
 * areaLight(new Uint8ClampedArray([128, 128, 128, 255]), 1, { x: 0, y: 0, width: 1, height: 1 }).mean > 0 // → true
 */
export function areaLight(rgba: Uint8ClampedArray, width: number, area: Area): AreaLight {
  const [x0, y0] = [Math.round(area.x), Math.round(area.y)]
  const [x1, y1] = [Math.round(area.x + area.width), Math.round(area.y + area.height)]
  if (x1 <= x0 || y1 <= y0 || x0 < 0 || y0 < 0 || x1 > width || y1 * width * 4 > rgba.length)
    throw new DomainError('outside-picture', 'A marked area lies outside the picture or is empty. Mark it again.')
  let sum = 0
  let squares = 0
  let clipped = 0
  let black = 0
  for (let y = y0; y < y1; y++) {
    for (let i = (y * width + x0) * 4, end = (y * width + x1) * 4; i < end; i += 4) {
      const r = rgba[i] ?? 0
      const g = rgba[i + 1] ?? 0
      const b = rgba[i + 2] ?? 0
      const light = weights[0] * (linearLight[r] ?? 0) + weights[1] * (linearLight[g] ?? 0) + weights[2] * (linearLight[b] ?? 0)
      sum += light
      squares += light * light
      if (r === 255 || g === 255 || b === 255) clipped++
      if (r < 2 && g < 2 && b < 2) black++
    }
  }
  const pixels = (x1 - x0) * (y1 - y0)
  const mean = sum / pixels
  return {
    mean,
    deviation: Math.sqrt(Math.max(0, squares / pixels - mean * mean)),
    clipped: clipped / pixels,
    black: black / pixels,
    pixels,
  }
}
