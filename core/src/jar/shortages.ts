import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { substitutesFor } from '../chemical/equivalentMass'
import type { Formula } from '../formula/formula'
import { linesOf } from '../formula/lines'
import { jarFactor, type ShelfJar } from './asOnShelf'

export interface Shortage {
  chemical: ChemicalId
  neededG: number
  onShelfG: number
}

/**
 * What the jars lack for a formula at its present volume: needed and held, in g of the formula's product, per chemical that falls short.
 * Jars of another product of the group count by their strength. Lines drawn from stock solutions take no jar.
 * @example
 * shortages(developer, jars).map((one) => one.chemical) // → ['hydroquinone']
 */
export function shortages(formula: Formula, jars: Omit<ShelfJar, 'id' | 'openedAt'>[], catalogue: Catalogue = builtIn): Shortage[] {
  const needed = new Map<ChemicalId, number>()
  for (const line of linesOf(formula, catalogue).filter((one) => !one.dissolved))
    needed.set(line.chemical.id, (needed.get(line.chemical.id) ?? 0) + line.grams)
  const serves = (wanted: ChemicalId, held: ChemicalId) =>
    wanted === held || (catalogue[wanted]?.group !== 'ascorbate' && substitutesFor(wanted, catalogue).includes(held))
  return [...needed].flatMap(([chemical, neededG]) => {
    const onShelfG = jars.reduce(
      (sum, jar) => sum + (serves(chemical, jar.chemical) ? jar.grams / jarFactor(chemical, jar, catalogue) : 0),
      0,
    )
    return onShelfG < neededG ? [{ chemical, neededG, onShelfG }] : []
  })
}
