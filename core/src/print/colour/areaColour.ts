import { DomainError } from '../../error'
import { linearLight, type Area } from '../../proof/density'
import type { RgbLight } from './photoCast'

/** What an area of a picture is lit by, channel by channel, and what speaks against reading it. */
export interface ColourOfArea {
  light: RgbLight
  /** share of its pixels with a channel at its end */
  clipped: number
  /** standard deviation over mean, of the channel that varies most */
  uneven: number
}

/**
 * Mean linear light of an area (pixels) of a picture given as RGBA bytes, channel by channel.
 * @throws DomainError 'outside-picture'
 * @example
 * colourOfArea(new Uint8ClampedArray([255, 255, 255, 255]), 1, { x: 0, y: 0, width: 1, height: 1 }).light // → { r: 1, g: 1, b: 1 }
 */
export function colourOfArea(rgba: Uint8ClampedArray, width: number, area: Area): ColourOfArea {
  const [x0, y0, x1, y1] = [area.x, area.y, area.x + area.width, area.y + area.height].map(Math.round) as [number, number, number, number]
  if (x1 <= x0 || y1 <= y0 || x0 < 0 || y0 < 0 || x1 > width || y1 * width * 4 > rgba.length)
    throw new DomainError('outside-picture', 'A marked area lies outside the picture or is empty. Mark it again.')
  const [sums, squares] = [
    [0, 0, 0],
    [0, 0, 0],
  ]
  let clipped = 0
  for (let y = y0; y < y1; y++)
    for (let x = x0; x < x1; x++) {
      const i = 4 * (y * width + x)
      let ends = false
      for (let k = 0; k < 3; k++) {
        const value = rgba[i + k] ?? 0
        const linear = linearLight[value] ?? 0
        sums[k] = (sums[k] ?? 0) + linear
        squares[k] = (squares[k] ?? 0) + linear * linear
        if (value === 255) ends = true
      }
      if (ends) clipped++
    }
  const pixels = (x1 - x0) * (y1 - y0)
  const means = sums.map((sum) => sum / pixels)
  const uneven = Math.max(
    ...means.map((mean, k) => (mean > 0 ? Math.sqrt(Math.max(0, (squares[k] ?? 0) / pixels - mean * mean)) / mean : 0)),
  )
  const [r = 0, g = 0, b = 0] = means
  return { light: { r, g, b }, clipped: clipped / pixels, uneven }
}
