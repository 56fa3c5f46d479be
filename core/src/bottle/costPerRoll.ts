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

/** Cost of a roll by school from real consumption, dearest last; schools no roll went through are left out. `perLitre` in money. */
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
