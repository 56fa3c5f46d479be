import { computed, onBeforeUnmount, ref } from 'vue'
import { now } from '../clock'

/** A stopwatch, or a timer over `forS`: worked out from when it was started, never counted. */
export function useStopwatch() {
  const startedAt = ref<number | null>(null)
  const stoppedAt = ref<number | null>(null)
  const at = ref(now())
  let frame = 0
  const tick = () => {
    at.value = now()
    frame = requestAnimationFrame(tick)
  }
  const elapsedS = computed(() => (startedAt.value === null ? 0 : Math.max(0, ((stoppedAt.value ?? at.value) - startedAt.value) / 1000)))
  const running = computed(() => startedAt.value !== null && stoppedAt.value === null)
  function start(): void {
    startedAt.value = now()
    stoppedAt.value = null
    cancelAnimationFrame(frame)
    tick()
  }
  function stop(): void {
    if (!running.value) return
    stoppedAt.value = now()
    cancelAnimationFrame(frame)
  }
  function reset(): void {
    cancelAnimationFrame(frame)
    startedAt.value = null
    stoppedAt.value = null
  }
  onBeforeUnmount(() => cancelAnimationFrame(frame))
  return { elapsedS, running, startedAt, start, stop, reset }
}
