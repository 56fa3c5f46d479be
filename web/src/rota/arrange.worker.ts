import {
  arrangeUntil,
  rearranged,
  whatHelps,
  type ArrangeProgress,
  type DarkroomEvening,
  type DarkroomPlan,
  type EveningBody,
  type EveningHouse,
  type LoadRun,
} from '@selvrin/core'
import { expose } from 'comlink'

/** ms between two words of how far it is */
const toldMs = 200

export interface Patience {
  seed: number
  /** as many as that give the same plan on every machine */
  rounds: number
  /** the longest it may take, ms */
  ms: number
}

/** Tells at the most every so often; and says when the time is over. */
function paced<P>(ms: number, told: (progress: P) => void) {
  const began = performance.now()
  let last = began
  return {
    ended: () => performance.now() - began > ms,
    told: (progress: P): void => {
      if (performance.now() - last < toldMs) return
      last = performance.now()
      told(progress)
    },
  }
}

/** Looks for an evening's plan away from the page, for so many rounds or ms; cancelled by ending the worker. */
const arranging = {
  arrange(evening: DarkroomEvening, { seed, rounds, ms }: Patience, told: (progress: ArrangeProgress) => void): DarkroomPlan {
    const pace = paced(ms, told)
    return arrangeUntil(evening, { seed, rounds, ended: pace.ended }, pace.told)
  },
  /** with as little change as does the job */
  rearrange(
    { body, house, runs, now }: { body: EveningBody; house: EveningHouse; runs: LoadRun[]; now: number },
    { seed, rounds, ms }: Patience,
    told: (progress: { tried: number }) => void,
  ): ReturnType<typeof rearranged> {
    return rearranged(body, house, runs, { now, seed, rounds, ...paced(ms, told) })
  },
  /** each thing more that is tried takes as long as `ms` */
  helps(
    evening: DarkroomEvening,
    { seed, rounds, ms }: Patience,
    told: (progress: { tried: number; of: number }) => void,
  ): ReturnType<typeof whatHelps> {
    let began = performance.now()
    const ended = (): boolean => performance.now() - began > ms
    return whatHelps(evening, { seed, rounds, ended }, (progress) => {
      began = performance.now()
      told(progress)
    })
  },
}
export type Arranging = typeof arranging
expose(arranging)
