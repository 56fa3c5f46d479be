import { z } from 'zod'
import { DomainError, impossible } from '../error'
import { name } from '../shape/common'
import type { CoatPart } from './bench'
import { coatedWith, coatingVolume, dropMl, dropsOf, measuredMl, platinumContrasts, platinumDrops, type CoatedWith } from './coating'
import { coatedProcesses, exposureScale, palladiumScale } from './negative'

/** cm² of a strip that is coated beside a sheet: 5 × 10 cm */
const stripCm2 = 50
const side = z.number('A coated sheet is 1 to 120 cm.').min(1, 'A coated sheet is 1 to 120 cm.').max(120, 'A coated sheet is 1 to 120 cm.')
const drop = z.number('A drop is 0.02 to 0.1 ml: count twenty into a syringe.').min(0.02, 'A drop is 0.02 to 0.1 ml: count twenty into a syringe.').max(0.1, 'A drop is 0.02 to 0.1 ml: count twenty into a syringe.') // prettier-ignore
const usual = z.number('A paper takes 1 to 6 ml for 1,000 cm².').min(1, 'A paper takes 1 to 6 ml for 1,000 cm².').max(6, 'A paper takes 1 to 6 ml for 1,000 cm².') // prettier-ignore

/** A hand-coated print: what is coated, for which negative. */
export const coatedBody = z.strictObject({
  title: name,
  process: z.enum(coatedProcesses),
  negative: z.string().trim().max(200, 'Two hundred characters at most.'),
  /** its density range under UV; null where nobody measured it */
  range: z.number('A density range is 0 to 4.').min(0, 'A density range is 0 to 4.').max(4, 'A density range is 0 to 4.').nullable(),
  /** of what is coated */
  ...{ widthCm: side, heightCm: side },
  /** strips of 5 × 10 cm coated beside it */
  strips: z.int().min(0).max(12, 'Twelve strips at most.'),
  coatedWith: z.enum(Object.keys(coatedWith) as [CoatedWith, ...CoatedWith[]]),
  coats: z.int().min(1).max(4, 'Four coats at most.'),
  mlPer1000: usual,
  dropMl: drop,
  /** of platinum and palladium; null for the others */
  contrast: z.enum(platinumContrasts).nullable(),
  /** drops of platinum among the metal drops of a palladium print */
  platinumDrops: z.int().min(0).max(500, 'Five hundred drops at most.'),
  paper: name,
  /** of the paper of this sheet; null where nobody wrote it down */
  paperPrice: z.number().min(0).max(100_000).nullable(),
})
export type CoatedBody = z.infer<typeof coatedBody>

const inMetal = (process: CoatedBody['process']): boolean => process === 'platinum' || process === 'palladium'

/** What is poured of a part for a sheet. */
export interface PouredPart {
  part: CoatPart
  drops: number
  ml: number
}

/**
 * What is measured out for a sheet and its strips, part by part in their order, counted in drops.
 * @throws DomainError 'no-contrast' for platinum and palladium without one, 'out-of-range'
 * @example
 * coatMix(cyanotypeSheet).map((one) => [one.part, one.drops]) // → [['iron', 8], ['ferricyanide', 8]]
 */
export function coatMix(body: CoatedBody): PouredPart[] {
  const areaCm2 = body.widthCm * body.heightCm + body.strips * stripCm2
  const poured = (part: CoatPart, drops: number): PouredPart => ({ part, drops, ml: drops * body.dropMl })
  if (!inMetal(body.process)) {
    const coatMl = coatingVolume({ areaCm2, mlPer1000: body.mlPer1000 })
    const ml = measuredMl({ coatMl, coatedWith: body.coatedWith, coats: body.coats })
    if (body.process === 'iron-silver') return [poured('sensitizer', dropsOf(ml, body.dropMl))]
    const half = dropsOf(ml / 2, body.dropMl)
    return [poured('iron', half), poured('ferricyanide', half)]
  }
  if (body.contrast === null) throw new DomainError('no-contrast', 'Say how hard a platinum or palladium print shall be.')
  // the table counts drops of the usual size for one coat by brush
  const drops = platinumDrops({ areaCm2: areaCm2 * body.coats * (body.coatedWith === 'rod' ? coatedWith.rod : 1) * (dropMl / body.dropMl), contrast: body.contrast }) // prettier-ignore
  const platinum = body.process === 'platinum' ? drops.metal : Math.min(drops.metal, body.platinumDrops)
  const parts: [CoatPart, number][] = [
    ['iron-a', drops.a],
    ['iron-b', drops.b],
    ['palladium', drops.metal - platinum],
    ['platinum', platinum],
  ]
  return parts.filter(([, count]) => count > 0).map(([part, count]) => poured(part, count))
}

/**
 * The same where a mixed sensitizer stands on the shelf: all of it out of one bottle.
 * @example
 * coatMixed(cyanotypeSheet).map((one) => one.drops) // → [16]
 */
export function coatMixed(body: CoatedBody): PouredPart[] {
  const drops = coatMix(body).reduce((sum, one) => sum + one.drops, 0)
  return [{ part: 'sensitizer', drops, ml: drops * body.dropMl }]
}

/**
 * Density range this sheet prints in full: by its process, for platinum and palladium by contrast and by how much of the metal is platinum.
 * Rounded literature values, between them linear.
 * @example
 * scaleOfSheet(cyanotypeSheet) // → 1.3
 */
export function scaleOfSheet(body: CoatedBody): number {
  if (!inMetal(body.process) || body.contrast === null) return exposureScale[body.process]
  const metal = coatMix(body).filter((one) => one.part === 'palladium' || one.part === 'platinum')
  const all = metal.reduce((sum, one) => sum + one.drops, 0)
  const share = (metal.find((one) => one.part === 'platinum')?.drops ?? 0) / all
  return palladiumScale[body.contrast] - share * (exposureScale.palladium - exposureScale.platinum)
}

/**
 * Refuses a sheet that nobody could coat: a contrast where there is none, or none where there is one.
 * @throws Refused 'no-contrast', 'no-platinum', DomainError 'out-of-range'
 * @example
 * requireCoated(cyanotypeSheet) // → undefined
 */
export function requireCoated(body: CoatedBody): void {
  if (inMetal(body.process) && body.contrast === null)
    throw impossible('no-contrast', 'Say how hard a platinum or palladium print shall be.', { field: 'contrast' })
  if (!inMetal(body.process) && body.contrast !== null)
    throw impossible('no-contrast', 'Only platinum and palladium prints have a contrast of their own.', { field: 'contrast' })
  if (body.platinumDrops > 0 && body.process !== 'palladium')
    throw impossible('no-platinum', 'Drops of platinum are counted among the metal of a palladium print.', { field: 'platinumDrops' })
  coatMix(body)
}
