import { arrangeUntil, type ArrangeProgress, type DarkroomEvening, type DarkroomPlan } from '@selvrin/core'
import { expose } from 'comlink'

/** ms between two words of how far it is */
const toldMs = 200

/** Looks for an evening's plan away from the page, for so many rounds or ms; cancelled by ending the worker. */
const arranging = {
  arrange(
    evening: DarkroomEvening,
    { seed, rounds, ms }: { seed: number; rounds: number; ms: number },
    told: (progress: ArrangeProgress) => void,
  ): DarkroomPlan {
    const began = performance.now()
    let last = began
    const since = (from: number): number => performance.now() - from
    return arrangeUntil(evening, { seed, rounds, ended: () => since(began) > ms }, (progress) => {
      if (since(last) < toldMs) return
      last = performance.now()
      told(progress)
    })
  },
}
export type Arranging = typeof arranging
expose(arranging)
