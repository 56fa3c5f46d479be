import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import type { Formula } from '../formula/formula'
import type { ShelfJar } from './asOnShelf'
import { shortages } from './shortages'

export interface ToOrder {
  chemical: ChemicalId
  name: string
  heldG: number
  /** the level below which it is to be ordered, or what the mixes ahead need */
  wantedG: number
  why: string
}

/**
 * Chemicals whose jars together hold less than their reorder level. Masses g.
 * @example
 * belowReorder([{ chemical: 'metol', grams: 20, reorderG: 50 }]).length // → 1
 */
export function belowReorder(
  jars: { chemical: ChemicalId; grams: number; reorderG: number | null }[],
  catalogue: Catalogue = builtIn,
): ToOrder[] {
  const levels = new Map<ChemicalId, number>()
  for (const jar of jars) if (jar.reorderG !== null) levels.set(jar.chemical, Math.max(jar.reorderG, levels.get(jar.chemical) ?? 0))
  return [...levels].flatMap(([chemical, wantedG]) => {
    const heldG = jars.reduce((sum, jar) => sum + (jar.chemical === chemical ? jar.grams : 0), 0)
    return heldG < wantedG
      ? [{ chemical, name: catalogue[chemical]?.name ?? chemical, heldG, wantedG, why: 'below its reorder level' }]
      : []
  })
}

/**
 * What the mixes ahead lack on the shelf, each formula once at its own volume, taken together.
 * @example
 * lackingFor([developer], jars).map((one) => one.chemical) // → ['hydroquinone']
 */
export function lackingFor(formulas: Formula[], jars: Omit<ShelfJar, 'id' | 'openedAt'>[], catalogue: Catalogue = builtIn): ToOrder[] {
  const together = new Map<ChemicalId, ToOrder>()
  for (const formula of formulas)
    for (const { chemical, neededG, onShelfG } of shortages(formula, jars, catalogue)) {
      const known = together.get(chemical)
      together.set(chemical, {
        chemical,
        name: catalogue[chemical]?.name ?? chemical,
        heldG: onShelfG,
        wantedG: (known?.wantedG ?? 0) + neededG,
        why: known ? `${known.why}, ${formula.name}` : `for ${formula.name}`,
      })
    }
  return [...together.values()]
}
