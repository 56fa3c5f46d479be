import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import type { Formula } from '../formula/formula'
import { linesOf } from '../formula/lines'

export interface Shortage {
  chemical: ChemicalId
  neededG: number
  onShelfG: number
}

/** What the jars lack for a formula at its present volume: needed and held, in g of the product, per chemical that falls short. */
export function shortages(formula: Formula, jars: { chemical: ChemicalId; grams: number }[], catalogue: Catalogue = builtIn): Shortage[] {
  const needed = new Map<ChemicalId, number>()
  for (const line of linesOf(formula, catalogue)) needed.set(line.chemical.id, (needed.get(line.chemical.id) ?? 0) + line.grams)
  return [...needed].flatMap(([chemical, neededG]) => {
    const onShelfG = jars.reduce((sum, jar) => sum + (jar.chemical === chemical ? jar.grams : 0), 0)
    return onShelfG < neededG ? [{ chemical, neededG, onShelfG }] : []
  })
}
