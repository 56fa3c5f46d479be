import { useEventListener, useIntervalFn } from '@vueuse/core'
import { onScopeDispose, watch } from 'vue'
import { useSession } from '../session/store'
import { useClocks } from './clocks'
import { scheduleCues, silent, stopCues, wake } from './sound'

const renewMs = 60_000

/** Cues of every running clock sound wherever in the application one is; call once. */
export function useCues(): void {
  const clocks = useClocks()
  const session = useSession()
  const wanted = () => session.person?.sounds !== false
  const known = new Set<string>()
  function renew(): void {
    const running = new Set(wanted() ? clocks.running.map((one) => one.id) : [])
    for (const id of known) if (!running.has(id)) stopCues(id)
    known.clear()
    for (const id of running) {
      const run = clocks.runs.get(id)
      const clock = clocks.clockOf(id)
      if (run && clock) scheduleCues(id, run.plan, clock)
      known.add(id)
    }
  }
  watch(
    () => [
      silent.value,
      wanted(),
      ...clocks.running.map(({ id }) => {
        const clock = clocks.clockOf(id)
        return [id, clock?.step, clock?.times.at(-1)?.plannedS, clock?.phase, clock?.holding].join(' ')
      }),
    ],
    renew,
  )
  const touch = () => void (wanted() && clocks.running.length > 0 && silent.value && wake())
  useIntervalFn(renew, renewMs)
  useEventListener(window, ['pointerdown', 'keydown'], touch)
  onScopeDispose(() => known.forEach(stopCues))
}
