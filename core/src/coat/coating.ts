import { DomainError, requirePositive } from '../error'

/** ml of one drop, 20 of them counted into a 1 ml syringe. House default until a dropper was counted. */
export const dropMl = 0.05
/** ml a 1,000 cm² of iron–silver or cyanotype paper takes, and between what. Rounded literature values. */
export const coatPer1000Cm2 = { usual: 2.8, from: 2.4, to: 3.2 }
/** How a coat is laid on: a brush's first takes a quarter more, a rod a fifth less. Rounded literature values. */
export const coatedWith = { brush: 1.25, rod: 0.8 } as const
export type CoatedWith = keyof typeof coatedWith

/**
 * ml of sensitizer one coat takes: area · ml per 1,000 cm².
 * @throws DomainError 'out-of-range'
 * @example
 * coatingVolume({ areaCm2: 500, mlPer1000: 2.8 }) // → 1.4
 */
export function coatingVolume({ areaCm2, mlPer1000 }: { areaCm2: number; mlPer1000: number }): number {
  requirePositive({ 'The area': areaCm2, 'The volume for 1,000 cm²': mlPer1000 })
  return (areaCm2 * mlPer1000) / 1000
}

/**
 * ml that are measured out for a sheet: by what it is coated with, twice for two coats (only a brush's first takes more).
 * @throws DomainError 'out-of-range'
 * @example
 * measuredMl({ coatMl: 1.4, coatedWith: 'rod', coats: 2 }) // → 2.24
 */
export function measuredMl({ coatMl, coatedWith: by, coats }: { coatMl: number; coatedWith: CoatedWith; coats: number }): number {
  requirePositive({ 'A coat': coatMl, 'The coats': coats })
  return by === 'brush' ? coatMl * (coatedWith.brush + coats - 1) : coatMl * coatedWith.rod * coats
}

/**
 * Whole drops that are counted for a volume (ml).
 * @throws DomainError 'out-of-range'
 * @example
 * dropsOf(0.35) // → 7
 */
export function dropsOf(ml: number, drop: number = dropMl): number {
  requirePositive({ 'The volume': ml, 'A drop': drop })
  return Math.max(1, Math.round(ml / drop))
}

/** Contrast of a platinum or palladium print, from the least of the oxidiser to all of it. */
export const platinumContrasts = ['very soft', 'soft', 'normal', 'hard', 'hardest'] as const
export type PlatinumContrast = (typeof platinumContrasts)[number]
/** share of iron B, with chlorate, in the iron drops. Rounded literature values. */
const shareOfB: Record<PlatinumContrast, number> = { 'very soft': 0, soft: 4 / 22, normal: 8 / 22, hard: 12 / 22, hardest: 1 }
/** drops for 516 cm², iron and metal together. Rounded literature value. */
const platinum = { drops: 44, cm2: 516 }

/**
 * Drops of iron A, of iron B (with the oxidiser) and of metal salt for a platinum–palladium sheet: half of the total is iron, the total rounded up to an even number.
 * @throws DomainError 'out-of-range', 'no-contrast'
 * @example
 * platinumDrops({ areaCm2: 500, contrast: 'normal' }) // → { a: 14, b: 8, metal: 22 }
 */
export function platinumDrops({ areaCm2, contrast }: { areaCm2: number; contrast: PlatinumContrast }): {
  a: number
  b: number
  metal: number
} {
  requirePositive({ 'The area': areaCm2 })
  const share = shareOfB[contrast]
  if (share === undefined) throw new DomainError('no-contrast', `A contrast is ${platinumContrasts.join(', ')}.`)
  const metal = Math.ceil((platinum.drops * areaCm2) / platinum.cm2 / 2 - 1e-9)
  const b = Math.round(metal * share)
  return { a: metal - b, b, metal }
}

/** What a part of a sensitizer costs: drops of it, and the price of a ml; null where nobody wrote the price down. */
export interface CostedPart {
  drops: number
  pricePerMl: number | null
}
/**
 * What the sensitizer of a print costs: Σ drops · ml of a drop · price; null where a price is missing.
 * @throws DomainError 'out-of-range'
 * @example
 * sensitizerCost([{ drops: 22, pricePerMl: 9 }]) // → 9.9
 */
export function sensitizerCost(parts: CostedPart[], drop: number = dropMl): number | null {
  requirePositive({ 'A drop': drop })
  let cost = 0
  for (const { drops, pricePerMl } of parts) {
    if (pricePerMl === null) return null
    if (!(drops >= 0) || !(pricePerMl >= 0)) throw new DomainError('out-of-range', 'Drops and prices are 0 or more.')
    cost += drops * drop * pricePerMl
  }
  return cost
}
