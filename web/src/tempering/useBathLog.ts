import { bathFindings, type BathReading } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { useBench } from '../device/readings'

/** How often the log of the bath is fetched, ms. */
const logMs = 30_000

/** The tempering bath at the bench with its log of the last hours, and what speaks against it. */
export function useBathLog() {
  const bench = useBench('bath')
  const probe = useBench('thermometer')
  const readings = ref<BathReading[]>([])
  async function load(): Promise<void> {
    const id = bench.device.value?.id
    if (!id) return
    const { readings: rows } = await call(api.device.log, { params: { id } })
    const firstAt = rows[0]?.at ?? 0
    readings.value = rows.map((one) => ({ s: (one.at - firstAt) / 1000, c: one.c, on: one.heater }))
  }
  const follow = () => void load().catch(() => undefined)
  watch(() => bench.device.value?.id, follow, { immediate: true })
  useIntervalFn(follow, logMs)
  const findings = computed(() =>
    bathFindings({ readings: readings.value, setC: bench.reading.value?.setC ?? null, probeC: probe.reading.value?.value ?? null }),
  )
  return { bench, probe, readings, findings }
}
