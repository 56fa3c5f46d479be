import { computed } from 'vue'
import { now } from '../clock'
import { useTime } from '../hand/useTime'
import { keptByTab } from '../printroom/keptByTab'
import type { CoatedView } from './useCoated'

/** The baths of a coated print, one after another, with a clock that counts up; since when is kept by the tab. */
export function useBaths(view: CoatedView) {
  const since = keptByTab<{ step: number; ms: number; outMs?: number } | null>(`selvrin.baths.${view.id}`, null)
  const time = useTime(250)
  const at = computed(() => view.standing.value?.step ?? 0)
  const step = computed(() => view.steps.value[at.value] ?? null)
  const seconds = computed(() =>
    since.value?.step === at.value ? Math.max(0, ((since.value.outMs ?? time.value) - since.value.ms) / 1000) : null,
  )
  /** Begins the clock of a step, or writes the step down with what it took. */
  async function press(): Promise<void> {
    if (!step.value) return
    if (seconds.value === null || since.value === null) return void (since.value = { step: at.value, ms: now() })
    // it is out, even where nobody can write it down yet
    since.value = { outMs: now(), ...since.value }
    await view.write({ kind: 'step', step: at.value, seconds: Math.max(1, Math.round(seconds.value)) })
  }
  /** It was not done, or without the clock. */
  const skip = (): Promise<boolean> => view.write({ kind: 'step', step: at.value, seconds: null })
  return { at, step, seconds, press, skip }
}
