import { DomainError, requirePositive } from '../../error'
import type { Cast, ColourMaterial } from './casts'

/** How far one filter unit moves its dye, in hundredths of a density: the slope of colour paper. Rounded literature value. */
export const paperGamma = 2.5

/** Linear light of one place, by channel. */
export interface RgbLight {
  r: number
  g: number
  b: number
}
/** What to turn, by a photograph: units of yellow and magenta, signed. */
export interface PackTurn {
  y: number
  m: number
}

/**
 * By how much to turn the filters for a print's grey to become the grey of a card beside it in the same picture: d = log10(card/print) by channel; on paper for negatives
 * ΔY = 100·(d_B − d_R)/γ, ΔM = 100·(d_G − d_R)/γ, on reversal paper the other way. Approximate: a camera's channels are not the paper's dyes.
 * @throws DomainError 'out-of-range'
 * @example
 * castOfGrey({ card: { r: 1, g: 1, b: 1.26 }, print: { r: 1, g: 1, b: 1 }, material: 'negative' }) // → { y: 4.0148, m: 0 }
 */
export function castOfGrey({
  card,
  print,
  material,
  gamma = paperGamma,
}: {
  card: RgbLight
  print: RgbLight
  material: ColourMaterial
  gamma?: number
}): PackTurn {
  requirePositive({ 'The slope of the paper': gamma, 'Red of the card': card.r, 'Green of the card': card.g, 'Blue of the card': card.b })
  requirePositive({ 'Red of the print': print.r, 'Green of the print': print.g, 'Blue of the print': print.b })
  const [r, g, b] = [Math.log10(card.r / print.r), Math.log10(card.g / print.g), Math.log10(card.b / print.b)]
  const way = (material === 'negative' ? 100 : -100) / gamma
  // without −0
  return { y: way * (b - r) || 0, m: way * (g - r) || 0 }
}

/**
 * In a word what a print is too much of that wants such a turn, and by how many units; null where it is less than half of what can barely be seen.
 * @example
 * castNamed({ y: 12, m: 11 }, 'negative') // → { cast: 'red', units: 11.5 }
 */
export function castNamed(turn: PackTurn, material: ColourMaterial): { cast: Cast; units: number } | null {
  if (![turn.y, turn.m].every(Number.isFinite)) throw new DomainError('out-of-range', 'A turn is a number of units.')
  const [y, m] = material === 'negative' ? [turn.y, turn.m] : [-turn.y, -turn.m]
  if (Math.hypot(y, m) < 2.5) return null
  // the nearest of the six directions in the plane of yellow and magenta
  const named: { cast: Cast; along: [number, number] }[] = [
    { cast: 'yellow', along: [1, 0] },
    { cast: 'magenta', along: [0, 1] },
    { cast: 'cyan', along: [-1, -1] },
    { cast: 'red', along: [1, 1] },
    { cast: 'green', along: [0, -1] },
    { cast: 'blue', along: [-1, 0] },
  ]
  const sizes = named.map(({ cast, along: [ay, am] }) => ({
    cast,
    units: (y * ay + m * am) / (ay * ay + am * am),
    size: Math.hypot(ay, am),
  }))
  const best = sizes.reduce((one, other) => (other.units * other.size > one.units * one.size ? other : one))
  return { cast: best.cast, units: best.units }
}
