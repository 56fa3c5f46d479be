import { planOf } from './planOf'
import type { RotaPlan, RotaProblem, UnplacedReason } from './problem'
import { copy, Search } from './search/anneal'
import { Decoder } from './search/decode'
import { fixedOf } from './search/pins'
import { reasonFor } from './search/reasons'
import { shapeOf } from './search/shape'

/** changes tried in a round */
const changesARound = 100

/**
 * Plans of an evening, each no worse than the one before: the best after each round, which is a fixed count of changes. The same seed and rounds give the same plan
 * everywhere, since only whole numbers are compared and no clock is asked. Ends only where nothing is unplaced and no plan can be better.
 * @example
 * [...arrange(evening, 1)].map((plan) => plan.endS) // → [65800]
 */
export function* arrange(problem: RotaProblem, seed: number): Generator<RotaPlan, void> {
  const shape = shapeOf(problem)
  const { fixed, failed } = fixedOf(problem, shape)
  const search = new Search(shape, fixed, seed, failed)
  const known = new Map<number, UnplacedReason>()
  const reasons = (load: number): UnplacedReason => {
    const reason = failed.includes(load) ? 'pin' : (known.get(load) ?? reasonFor(problem, shape, load))
    known.set(load, reason)
    return reason
  }
  const told = new Decoder(shape, fixed)
  let last: RotaPlan | null = null
  let lastBest: unknown = null
  for (let rounds = 0; ; rounds++) {
    if (!last || lastBest !== search.best) {
      told.decode(copy(search.best))
      last = planOf(problem, shape, told, reasons, rounds)
      lastBest = search.best
    }
    const plan: RotaPlan = { ...last, rounds }
    last = plan
    yield plan
    const { bound } = plan
    if (plan.unplaced.length === 0 && plan.lateS === bound.lateS && plan.endS === bound.endS) return
    search.round(changesARound)
  }
}

/**
 * The plan after so many rounds, or before them where none can be better.
 * @example
 * arrangeEvening(evening, { seed: 1, rounds: 10 }).placed.map((one) => [one.load, one.vessel]) // → [['l1', 'tank']]
 */
export function arrangeEvening(problem: RotaProblem, { seed, rounds }: { seed: number; rounds: number }): RotaPlan {
  let best: RotaPlan | null = null
  for (const plan of arrange(problem, seed)) {
    best = plan
    if (plan.rounds >= rounds) break
  }
  return best as RotaPlan
}
