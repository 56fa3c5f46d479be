import { manner } from '../session/manner'
import { isStockFor, mayBeUsed, type Formula, type Line } from '@selvrin/core'
import { chemicalOf, shortages } from '../chemical/chemistry'
import type { Bottle, FormulaRow, Jar } from '@selvrin/core/contract'

/** What the jars lack for a formula, by name. */
export const missingFor = (formula: Formula, jars: Jar[]): { name: string; neededG: number; onShelfG: number }[] =>
  shortages(formula, jars).map((shortage) => ({ ...shortage, name: chemicalOf(shortage.chemical).name }))

/** '€1.24' in the darkroom's currency, with as many figures as a small sum wants. */
export const showMoney = (amount: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', {
    style: 'currency',
    currency,
    minimumFractionDigits: 2,
    maximumFractionDigits: amount < 1 ? 3 : 2,
  })
    .format(amount)
    .replace('.', manner.value.decimal === 'comma' ? ',' : '.')

/** Usable bottles on the shelf that hold the stock solution a line is drawn from, at its strength. */
export function stockFor(line: Line, formulas: FormulaRow[], bottles: Bottle[]): Bottle[] {
  const kinds = formulas.filter((row) => isStockFor({ id: row.id, ...row.body } as Formula, line))
  return bottles.filter(
    (one) => one.parts === null && one.state.volumeMl > 0 && mayBeUsed(one) && kinds.some((kind) => kind.id === one.formulaId),
  )
}
