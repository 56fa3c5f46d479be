import { readingOfProbe, type KeptReading } from '@selvrin/core'
import { ref, watch } from 'vue'
import { useBench } from '../device/readings'
import { now } from '../clock'
import { useKept } from '../hand/useKept'
import { useClocks } from './clocks'

/** The run whose bath the probe at the bench stands in; null while it stands in none. */
export const probedRun = ref<string | null>(null)
/** it reads something that cannot be this bath */
export const probeElsewhere = ref(false)

/** Readings of a run come from the probe by themselves while this device leads it; what they mean for the time follows from there. Call in a scope that lives as long as the page. */
export function useProbing(): void {
  const clocks = useClocks()
  const probe = useBench('thermometer')
  useKept('probed run', probedRun)
  let last: (KeptReading & { step: number; run: string }) | null = null
  watch(
    () => clocks.time,
    () => {
      const id = probedRun.value
      const [clock, reading] = [id === null ? null : clocks.clockOf(id), probe.reading.value]
      const step = clock?.course[clock.step]
      probeElsewhere.value = false
      if (id === null || clock?.phase !== 'running' || !step || !reading?.stable || reading.value === null || clocks.ledBy(id) !== null)
        return
      const read = { at: now(), c: Math.round(reading.value * 10) / 10 }
      const before = last?.run === id && last.step === clock.step ? last : null
      const becomes = readingOfProbe(read, { last: before, plannedC: step.temperatureC })
      probeElsewhere.value = becomes === 'elsewhere'
      if (becomes !== 'keep') return
      last = { ...read, step: clock.step, run: id }
      void clocks.note(id, { kind: 'temperature', step: clock.step, celsius: read.c })
    },
  )
}
