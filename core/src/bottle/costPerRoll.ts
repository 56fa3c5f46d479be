import { shareOf } from '../dilution/shareOf'
import { requireAmounts } from '../error'
import type { School } from '../formula/use'

/** What was really used up of one formula in one way: ml of its stock for so many roll equivalents. */
export interface Consumption {
  school: School
  ml: number
  rolls: number
}

export interface RollCost {
  school: School
  rolls: number
  mlPerRoll: number
  /** in the darkroom's currency; null where no price is known */
  perRoll: number | null
}

/** What went into and through finished bottles of a strength, as the ledgers have it. */
export interface UsedUp {
  formulaId: string
  school: School
  /** of the bottles; null for stock */
  parts: number[] | null
  /** of what was in the bottles */
  ml: number
  rolls: number
}

/**
 * What was really used up of each formula's stock, by school: of what was diluted only its share counts.
 * @example
 * consumptionOf([{ formulaId: 'a', school: 'counted', parts: [1, 4], ml: 5000, rolls: 10 }]) // → [{ formulaId: 'a', school: 'counted', ml: 1000, rolls: 10 }]
 */
export function consumptionOf(used: UsedUp[]): (Consumption & { formulaId: string })[] {
  const sums = new Map<string, Consumption & { formulaId: string }>()
  for (const { formulaId, school, parts, ml, rolls } of used) {
    const sum = sums.get(`${formulaId} ${school}`) ?? { formulaId, school, ml: 0, rolls: 0 }
    sums.set(`${formulaId} ${school}`, { ...sum, ml: sum.ml + ml * shareOf(parts), rolls: sum.rolls + rolls })
  }
  return [...sums.values()].filter((sum) => sum.rolls > 0 && sum.ml > 0)
}

/**
 * Cost of a roll by school from real consumption, dearest last; schools no roll went through are left out. `perLitre` in money.
 * @example
 * costPerRoll([{ school: 'counted', ml: 1000, rolls: 20 }], 4)[0].perRoll // → 0.2
 */
export function costPerRoll(consumption: Consumption[], perLitre: number | null): RollCost[] {
  return consumption
    .filter((one) => one.rolls > 0)
    .map((one) => {
      requireAmounts({ 'What was used up': one.ml, 'The rolls': one.rolls })
      const mlPerRoll = one.ml / one.rolls
      return { school: one.school, rolls: one.rolls, mlPerRoll, perRoll: perLitre === null ? null : (perLitre * mlPerRoll) / 1000 }
    })
    .sort((a, b) => a.mlPerRoll - b.mlPerRoll)
}
