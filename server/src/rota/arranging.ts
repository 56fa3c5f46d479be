import type { ArrangeProgress, DarkroomEvening, DarkroomPlan } from '@selvrin/core'
import { inThread } from '../house/inThread'

/** What a thread is asked: an evening, and how long to look. */
export interface Asked {
  evening: DarkroomEvening
  seed: number
  /** as many as that give the same plan on every machine */
  rounds: number
  /** the longest it may take, ms */
  ms: number
}

/**
 * Arranges an evening in a thread of its own, from the built file of `arrange.thread.ts`; null where `signal` ended it, which takes effect at once.
 * @throws what the thread threw
 */
export const arrangeInThread = (
  file: string | URL,
  asked: Asked,
  more: { signal?: AbortSignal; told?: (progress: ArrangeProgress) => void } = {},
): Promise<DarkroomPlan | null> => inThread(file, asked, more)
