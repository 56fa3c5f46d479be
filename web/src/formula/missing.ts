import { chemicalOf, shortages, type Formula } from '@selvrin/core'
import type { Jar } from '@selvrin/core/contract'

/** What the jars lack for a formula, by name. */
export const missingFor = (formula: Formula, jars: Jar[]): { name: string; neededG: number; onShelfG: number }[] =>
  shortages(formula, jars).map((shortage) => ({ ...shortage, name: chemicalOf(shortage.chemical).name }))
