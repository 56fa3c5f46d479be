import { dilute } from '../../dilution/dilute'
import { blendBeaker } from '../../water/blendBeaker'
import { trayMl } from '../trayLife'
import type { TrayBody } from './trayLine'

/** Taps and the room’s air, °C; null where nobody measured them. */
export interface TrayTaps {
  hotC: number | null
  coldC: number | null
  roomC: number | null
}

/** What a tray is filled with, ml: stock, the other parts, and the water as hot and cold; null where that cannot be said. */
export interface TrayAmounts {
  stockMl: number
  waterMl: number
  water: { hotMl: number; coldMl: number } | null
}

/**
 * What goes into a tray of so many ml, at a temperature (°C): stock by its parts, then water of two taps. Stock stands at the room’s temperature.
 * @example
 * trayAmounts({ ml: 1500, parts: [1, 2], targetC: 20, taps: { hotC: 54, coldC: 12, roomC: 21 } }).stockMl // → 500
 */
export function trayAmounts(of: { ml: number; parts: number[] | null; targetC: number; taps: TrayTaps }): TrayAmounts {
  const { ml, parts, targetC, taps } = of
  const [stockMl = 0] = parts === null ? [0] : dilute({ parts, totalMl: ml })
  const waterMl = ml - stockMl
  const { hotC, coldC, roomC } = taps
  if (waterMl <= 0 || hotC === null || coldC === null || roomC === null) return { stockMl, waterMl, water: null }
  const water = blendBeaker({ concentrateMl: stockMl, waterMl, targetC, roomC, hotC, coldC })
  return { stockMl, waterMl, water: water && { hotMl: water.hotMl, coldMl: water.coldMl } }
}

/**
 * ml that fill a tray for paper of a size, cm; a tray the paper does not lie flat in is refused by null.
 * @example
 * fillOf({ name: 'A', widthCm: 30, heightCm: 40 }, { widthCm: 24, heightCm: 30.5 }) // → 1440
 * fillOf({ name: 'A', widthCm: 20, heightCm: 25 }, { widthCm: 24, heightCm: 30.5 }) // → null
 */
export function fillOf(tray: TrayBody, paper: { widthCm: number; heightCm: number }): number | null {
  const sides = (one: { widthCm: number; heightCm: number }): [number, number] => [
    Math.min(one.widthCm, one.heightCm),
    Math.max(one.widthCm, one.heightCm),
  ]
  const [[shortTray, longTray], [short, long]] = [sides(tray), sides(paper)]
  if (short > shortTray || long > longTray) return null
  return trayMl({ insideCm2: tray.widthCm * tray.heightCm, paperCm2: paper.widthCm * paper.heightCm })
}
