import type { Carry } from './carry'
import type { FormulaUse } from '../formula/use'

/** A compensated bath is over when the time has doubled. */
const mostFactor = 2

/** The factor on the next roll's time, and why. */
export function nextTime(use: FormulaUse, carry: Carry): { factor: number; why: string } {
  switch (use.school) {
    case 'one-shot':
      return { factor: 1, why: 'Used once: every roll gets the chart’s time.' }
    case 'counted':
      return { factor: 1, why: 'Counted: the time stays the same to the end of its capacity.' }
    case 'replenished':
      return { factor: 1, why: 'Replenished: the time stays the same as long as it is replenished.' }
    case 'two-bath':
      return { factor: 1, why: 'Two baths: half the fixing time in the first, half in the second.' }
    case 'compensated': {
      const factor = compensation(use, carry.rollsPerL)
      return {
        factor,
        why:
          factor === 1
            ? 'Compensated: the first roll gets the chart’s time, later ones more.'
            : `Compensated for ${carry.rollsPerL.toFixed(1)} rolls a litre already processed.`,
      }
    }
  }
}

/** t · (1 + p · E/V), or the step of the table that E/V has reached. */
function compensation(use: FormulaUse, rollsPerL: number): number {
  const rule = use.compensation
  if (!rule) return 1
  if ('perRoll' in rule) return 1 + rule.perRoll * rollsPerL
  return rule.table.reduce((best, step) => (step.rollsPerL <= rollsPerL + 1e-9 && step.rollsPerL >= best.rollsPerL ? step : best), {
    rollsPerL: 0,
    factor: 1,
  }).factor
}

/** Roll equivalents a litre of working solution is good for by its school, before any test: null where its count does not end it. */
export function schoolCapacity(use: FormulaUse, position: 1 | 2): number | null {
  switch (use.school) {
    case 'one-shot':
    case 'replenished':
      return null
    case 'counted':
      return use.capacityRollsPerL
    case 'two-bath':
      return position === 1 ? use.capacityRollsPerL : null
    case 'compensated':
      return least(use.capacityRollsPerL, rollsToDouble(use))
  }
}

/** Rolls a litre at which the time reaches twice the chart's. */
function rollsToDouble(use: FormulaUse): number | null {
  const rule = use.compensation
  if (!rule) return null
  if ('perRoll' in rule) return rule.perRoll > 0 ? (mostFactor - 1) / rule.perRoll : null
  const doubled = rule.table.filter((step) => step.factor >= mostFactor).map((step) => step.rollsPerL)
  return doubled.length > 0 ? Math.min(...doubled) : null
}

/** The smaller of two limits, where null sets none. */
export const least = (a: number | null, b: number | null): number | null => (a === null ? b : b === null ? a : Math.min(a, b))
