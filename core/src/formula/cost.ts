import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { requireAmounts } from '../error'
import { stockPerRoll } from './stockPerRoll'
import type { FormulaUse } from './use'
import type { Formula } from './formula'
import { linesOf } from './lines'

export interface Cost {
  /** in the darkroom's currency, for the formula at its volume, of what has a price */
  batch: number
  perLitre: number
  /** null where the formula does not say how many rolls it is good for */
  perRoll: number | null
  /** chemicals without a price: the sums leave them out */
  unpriced: ChemicalId[]
}

/**
 * What a batch costs from purchase prices in money per kg of product; rolls from the capacity of a counted bath or the least stock per roll.
 * @example
 * costOf(stopBath, { 'citric-acid-monohydrate': 8 }).batch // → 0.12
 */
export function costOf(
  formula: Formula & { use?: Pick<FormulaUse, 'school' | 'capacityRollsPerL' | 'minConcentrateMlPerRoll'> },
  pricePerKg: Partial<Record<ChemicalId, number>>,
  catalogue: Catalogue = builtIn,
): Cost {
  const lines = linesOf(formula, catalogue)
  let batch = 0
  const unpriced = new Set<ChemicalId>()
  for (const { chemical, grams } of lines) {
    const price = pricePerKg[chemical.id]
    if (price === undefined) {
      if (grams > 0) unpriced.add(chemical.id)
      continue
    }
    requireAmounts({ [`The price of ${chemical.name}`]: price })
    batch += (price * grams) / 1000
  }
  const perLitre = (batch * 1000) / formula.finalMl
  const perRoll = stockPerRoll(formula.use)
  return { batch, perLitre, perRoll: perRoll && (perLitre * perRoll.ml) / 1000, unpriced: [...unpriced] }
}
