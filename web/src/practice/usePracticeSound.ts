import type { Call } from '@selvrin/core'
import { computed, watch } from 'vue'
import { audio, wake } from '../cue/audio'
import { callNow } from '../cue/queue'
import { loadWords, stepWord } from '../cue/voice'
import { useClocks } from '../run/clocks'
import { useSession } from '../session/store'
import type { Practice } from './usePractice'

/** up to this speed there is time for words */
const fastestWithWords = 2
const readyS = 15

/**
 * A practice is heard as a real clock is, as long as hands can follow it. Never beside a tank that is on: nobody is to take one for the other.
 */
export function usePracticeSound({ asked, step, cue, elapsedS, plannedS, byHand }: Practice): { touched: () => void } {
  const clocks = useClocks()
  const session = useSession()
  const wanted = computed(() => byHand.value && session.person?.sounds !== false && clocks.running.length === 0)
  const remainingS = computed(() => plannedS.value - elapsedS.value)
  /** what is to be heard of a step now, named so that each is heard once */
  const heard = computed((): { kind: Call['kind']; name: string } | null => {
    if (!step.value || !cue.value) return step.value && remainingS.value <= 0 ? { kind: 'over', name: `${step.value.key} over` } : null
    if (remainingS.value <= readyS && cue.value.kind === 'rest') return { kind: 'get-ready', name: `${step.value.key} ready` }
    return { kind: cue.value.kind, name: `${step.value.key} ${cue.value.kind} ${cue.value.fromS}` }
  })
  watch(
    () => heard.value?.name,
    () => {
      const [now, one] = [heard.value, step.value]
      if (!now || !one || !wanted.value) return
      const spoken = (asked.value?.speed ?? 1) <= fastestWithWords && now.kind !== 'rest' && now.kind !== 'tap'
      callNow(now.kind, one.family, spoken ? [now.kind, ...(now.kind === 'pour-in' ? [stepWord(one)] : [])] : [])
    },
  )
  /** a browser sounds only after it was touched */
  function touched(): void {
    if (!wanted.value) return
    void wake().then(() => {
      const context = audio()
      if (context) void loadWords(context)
    })
  }
  return { touched }
}
