import { toningSteps, type Bleaching, type PaperBase } from '@selvrin/core'
import { computed } from 'vue'
import { now } from '../clock'
import { useTime } from '../hand/useTime'
import { keptByTab } from '../printroom/keptByTab'

/** A print, or a strip, that is being toned: which step it is in, since when (ms), and how long each took (s). */
interface Toning {
  base: PaperBase
  bleaching: Bleaching
  /** it was taken out before the toner was done */
  stoppedEarly: boolean
  strip: boolean
  /** where the dial stood when it was begun */
  tone: number
  at: number
  sinceMs: number | null
  tookS: (number | null)[]
}

/** Toning led step by step by looking, with a clock that counts up; kept by the tab, so that a page that is loaded again goes on. */
export function useToneSteps() {
  const kept = keptByTab<Toning | null>('selvrin.toning', null)
  const time = useTime(250)
  const steps = computed(() => (kept.value ? toningSteps(kept.value) : []))
  const step = computed(() => (kept.value ? (steps.value[kept.value.at] ?? null) : null))
  const isDone = computed(() => kept.value !== null && step.value === null)
  /** s the step has gone on; null until it is begun */
  const seconds = computed(() =>
    kept.value === null || kept.value.sinceMs === null ? null : Math.max(0, (time.value - kept.value.sinceMs) / 1000),
  )
  function begin(of: Pick<Toning, 'base' | 'bleaching' | 'strip' | 'tone'>): void {
    kept.value = { ...of, stoppedEarly: false, at: 0, sinceMs: null, tookS: [] }
  }
  /** Begins the clock of a step, or ends the step and its clock. */
  function press(): void {
    const { value: of } = kept
    if (!of || !step.value) return
    if (of.sinceMs === null) kept.value = { ...of, sinceMs: now() }
    else kept.value = { ...of, tookS: [...of.tookS, Math.max(0, (now() - of.sinceMs) / 1000)], at: of.at + 1, sinceMs: null }
  }
  /** The step is not needed, or was done elsewhere. */
  function skip(): void {
    const { value: of } = kept
    if (of && step.value) kept.value = { ...of, tookS: [...of.tookS, null], at: of.at + 1, sinceMs: null }
  }
  /** Out of the toner before it is done: it is refixed then. */
  function early(): void {
    const { value: of } = kept
    if (!of || step.value?.kind !== 'tone') return
    press()
    if (kept.value) kept.value = { ...kept.value, stoppedEarly: true }
  }
  const leave = (): void => void (kept.value = null)
  const took = (kind: 'bleach' | 'tone'): number | null => {
    const i = steps.value.findIndex((one) => one.kind === kind)
    return i < 0 ? null : (kept.value?.tookS[i] ?? null)
  }
  return { kept, steps, step, isDone, seconds, begin, press, skip, early, leave, took }
}
export type ToneSteps = ReturnType<typeof useToneSteps>
