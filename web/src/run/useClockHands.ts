import { useEventListener } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { wake as wakeSound } from '../cue/audio'
import { now } from '../clock'
import { isDoneKey, typing } from '../hand/keys'
import { useSession } from '../session/store'
import { useClocks } from './clocks'

const askedMs = 3000
const twiceMs = 1000

/**
 * What the hands do at a clock: done, hold, and the keys for them. `runId` is the run they are about now; `measure` opens where a temperature is written down, `lead` where
 * a run that another device leads is taken over.
 */
export function useClockHands(runId: () => string | null, { measure, lead }: { measure: () => void; lead: () => void }) {
  const clocks = useClocks()
  const session = useSession()
  const clock = computed(() => (runId() === null ? null : clocks.clockOf(runId() as string)))
  const step = computed(() => clock.value?.course[clock.value.step])
  const inside = computed(() => clock.value?.phase === 'running' || clock.value?.phase === 'over')
  /** another device leads it: this one only follows */
  const follows = computed(() => runId() !== null && clocks.ledBy(runId() as string) !== null)
  /** a step that is not over is ended only when it is asked for twice */
  const asking = ref(false)
  let askingUntil = 0

  /** A browser sounds only after it was touched. */
  function touched(): void {
    if (session.person?.sounds !== false) void wakeSound()
  }
  function done(): void {
    const [state, id] = [clock.value, runId()]
    touched()
    if (!state || !step.value || id === null) return
    if (follows.value) lead()
    else if (state.phase === 'before') void clocks.note(id, { kind: 'start', step: 0 })
    else if (inside.value) {
      const early = state.remainingS > step.value.drainS && !step.value.waits
      if (early && now() > askingUntil) {
        asking.value = true
        askingUntil = now() + askedMs
        return
      }
      askingUntil = 0
      void clocks.note(id, { kind: 'next', step: state.step })
    }
    asking.value = false
  }
  watch(
    () => clocks.time,
    (time) => {
      if (asking.value && time > askingUntil) asking.value = false
    },
  )
  function hold(): void {
    const id = runId()
    touched()
    if (follows.value) lead()
    else if (inside.value && clock.value && id !== null)
      void clocks.note(id, { kind: clock.value.holding ? 'unhold' : 'hold', step: clock.value.step })
  }

  let lastH = 0
  function onKey(event: KeyboardEvent): void {
    if (typing(event)) return
    const letters = session.person?.letterKeys !== false
    if (isDoneKey(event)) {
      // Space on a button one went to with Tab presses that button; everywhere else it belongs to the clock, and PageDown always
      if (event.key === ' ' && (event.target as HTMLElement).closest('button, summary')) return
      event.preventDefault()
      if (event.type === 'keydown' && !event.repeat) done()
    } else if (event.type === 'keydown' && letters && !event.repeat && event.key.toLowerCase() === 'h') {
      if (now() - lastH < twiceMs) {
        lastH = 0
        hold()
      } else lastH = now()
    } else if (event.type === 'keydown' && letters && event.key.toLowerCase() === 't') {
      event.preventDefault()
      measure()
    }
  }
  /** A button that was pressed with a pointer does not keep the focus: the next Space is the clock's. */
  function letGo(event: MouseEvent): void {
    if (event.detail > 0 && document.activeElement instanceof HTMLElement && document.activeElement.tagName === 'BUTTON')
      document.activeElement.blur()
  }
  useEventListener(document, ['keydown', 'keyup'], onKey)
  useEventListener(document, 'click', letGo)
  // a reload in the middle asks in the browser's own words
  useEventListener(window, 'beforeunload', (event) => {
    if (inside.value) event.preventDefault()
  })
  return { clock, step, inside, follows, asking, done, hold, touched }
}
