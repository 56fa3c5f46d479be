import { watch } from 'vue'
import { useClocks } from './clocks'

/** Cues of every running clock sound wherever in the application one is; call once. What makes them comes with the first run. */
export function useCues(): void {
  const clocks = useClocks()
  watch(
    () => clocks.running.length > 0,
    (running) => void (running && import('./sounding').then(({ soundClocks }) => soundClocks())),
    { immediate: true },
  )
}
