import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical, ChemicalId } from '../chemical/chemical'
import { requireAmounts, requirePositive } from '../error'

/** L a mol of gas takes at 20 °C. */
const litresPerMol = 24.06
const litresPerM3 = 1000

/**
 * ppm in the air of a room (m³) if so many mol of gas were in it, evenly: the worst case, to be shown beside a block.
 * @throws DomainError 'out-of-range'
 * @example
 * gasPpm({ moles: 0.08327, roomM3: 28.8 }) // → 69.565
 */
export function gasPpm({ moles, roomM3 }: { moles: number; roomM3: number }): number {
  requireAmounts({ 'The amount of gas': moles })
  requirePositive({ 'The room': roomM3 })
  return (1e6 * moles * litresPerMol) / (roomM3 * litresPerM3)
}

/** g of products in a liquid. */
export interface Held {
  chemical: ChemicalId
  grams: number
}

const acidIn = (chemical: Chemical, name: string): number =>
  chemical.inWater === undefined || chemical.inWater === 'trace'
    ? 0
    : chemical.inWater.acids.reduce((sum, [acid, count]) => sum + (acid === name ? count : 0), 0)
const has = (chemical: Chemical, ...natures: Chemical['natures']): boolean => natures.some((one) => chemical.natures.includes(one))

/** Molecules of the gas of a reaction that a formula unit frees at most; 0 where it frees none. */
const frees: Record<number, (chemical: Chemical) => number> = {
  1: (one) => (has(one, 'sulfide') ? 1 : 0),
  2: (one) => (has(one, 'sulfite', 'acid-sulfite') ? Math.max(1, acidIn(one, 'sulfurous')) : has(one, 'thiosulfate') ? 1 : 0),
  // the two hexacyanoferrates hold six
  3: (one) => (has(one, 'ferricyanide') ? 6 : has(one, 'thiocyanate') ? 1 : 0),
  4: (one) => (has(one, 'ammonium', 'ammonia') ? Math.max(1, acidIn(one, 'ammonium')) : 0),
  5: (one) => (has(one, 'hypochlorite') ? 1 : 0),
  11: (one) => (has(one, 'oxalate') ? 1 : 0),
}

/**
 * mol of gas a reaction (by its number in the table) could free at most from what is in the liquids together; null where that is not known of them.
 * @example
 * freedMoles(1, [{ chemical: 'sodium-sulfide-nonahydrate', grams: 20 }]) // → 0.083271
 */
export function freedMoles(reaction: number, held: Held[], catalogue: Catalogue = builtIn): number | null {
  const count = frees[reaction]
  if (!count) return null
  let moles = 0
  for (const { chemical: id, grams } of held) {
    const chemical = catalogue[id]
    const each = chemical ? count(chemical) : 0
    if (!chemical || each === 0) continue
    if (chemical.molarMass === null) return null
    moles += (each * grams * (chemical.content ?? 1)) / chemical.molarMass
  }
  return moles > 0 ? moles : null
}
