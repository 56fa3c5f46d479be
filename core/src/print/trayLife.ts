import { requireAmounts, requirePositive } from '../error'
import { rollAreaCm2 } from '../dilution/rollEquivalents'
import type { PaperBase } from './emergence'

/** h that a tray of developer stands open, at most; equivalents a litre of it develops at 1+9. Rounded literature values. */
const openH = 8
const developed: Record<PaperBase, number> = { fibre: 20, rc: 40 }
/** mm deep a tray is filled */
const depthCm = 1.2
/** ml that a tray holds at the least: for small paper, and from 30×40 cm on */
const least = { smallMl: 1000, largeMl: 2000, largeCm2: 30 * 40 }

/**
 * Print equivalents (8×10 in) of prints of a size in cm, by area; never added to film.
 * @throws DomainError 'out-of-range'
 * @example
 * printEquivalents({ widthCm: 24, heightCm: 30.5, count: 6 }) // → 8.5116
 */
export function printEquivalents({ widthCm, heightCm, count }: { widthCm: number; heightCm: number; count: number }): number {
  requirePositive({ 'The width': widthCm, 'The height': heightCm })
  requireAmounts({ 'The number of prints': count })
  return (widthCm * heightCm * count) / rollAreaCm2
}

/**
 * Share of a tray of paper developer that is used up, by the h it has stood open and the equivalents that went through; whatever is left is thrown away at the day's end.
 * @throws DomainError 'out-of-range'
 * @example
 * trayShare({ openH: 2, equivalents: 10, ml: 1000, base: 'fibre' }) // → 0.75
 */
export function trayShare(of: { openH: number; equivalents: number; ml: number; base: PaperBase }): number {
  requireAmounts({ 'The hours': of.openH, 'The prints': of.equivalents })
  requirePositive({ 'What is in the tray': of.ml })
  return of.openH / openH + of.equivalents / (developed[of.base] * (of.ml / 1000))
}

/** How prints are fixed: in one bath, in one for long keeping, in the first of two. */
export const fixings = ['one', 'keeping', 'first-of-two'] as const
export type Fixing = (typeof fixings)[number]
const fixed: Record<PaperBase, Record<Fixing, number>> = {
  rc: { one: 34, keeping: 34, 'first-of-two': 34 },
  fibre: { one: 17, keeping: 8, 'first-of-two': 34 },
}

/**
 * Equivalents a litre of fixer fixes, by its silver. Leaflets promise about twice that. Rounded literature values.
 * @example
 * fixedPerLitre('fibre', 'first-of-two') // → 34
 */
export const fixedPerLitre = (base: PaperBase, fixing: Fixing): number => fixed[base][fixing]

/**
 * ml that fill a tray, by the inside of it in cm² and the paper that goes into it: 12 mm deep, 1 L at the least, 2 L from 30×40 cm on.
 * @throws DomainError 'out-of-range'
 * @example
 * trayMl({ insideCm2: 700, paperCm2: 500 }) // → 1000
 */
export function trayMl({ insideCm2, paperCm2 }: { insideCm2: number; paperCm2: number }): number {
  requirePositive({ 'The inside of the tray': insideCm2, 'The paper': paperCm2 })
  return Math.max(insideCm2 * depthCm, paperCm2 >= least.largeCm2 ? least.largeMl : least.smallMl)
}
