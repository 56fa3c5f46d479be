import { arrangeDarkroom } from './arrangeDarkroom'
import type { DarkroomEvening, DarkroomPlan } from './evening'

/** When to stop looking: after so many rounds, which gives the same plan everywhere, or as soon as `ended` says so. */
export interface Patience {
  seed: number
  rounds: number
  ended?: () => boolean
}

/** How far a search is. */
export interface ArrangeProgress {
  rounds: number
  /** loads without a place, weighted s late, s at which all is over: what it has so far */
  unplaced: number
  lateS: number
  endS: number
}

/**
 * The best plan of an evening after so many rounds, or before them where `ended` says so or none can be better; `told` hears how far it is after every round.
 * @example
 * arrangeUntil({ ...darkroomEvening, loads: [] }, { seed: 1, rounds: 5 }).rota.placed // → []
 */
export function arrangeUntil(
  evening: DarkroomEvening,
  { seed, rounds, ended = () => false }: Patience,
  told: (progress: ArrangeProgress) => void = () => undefined,
): DarkroomPlan {
  let best: DarkroomPlan | null = null
  for (const plan of arrangeDarkroom(evening, seed)) {
    best = plan
    const { lateS, endS, unplaced } = plan.rota
    told({ rounds: plan.rota.rounds, unplaced: unplaced.length, lateS, endS })
    if (plan.rota.rounds >= rounds || ended()) break
  }
  return best as DarkroomPlan
}
