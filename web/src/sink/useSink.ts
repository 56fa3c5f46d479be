import { proposedDrum, type Drum } from '@selvrin/core'
import { sinkApi, type WasteDrum } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'

const concerned = ['drum', 'sink', 'waste']

/** The sink as it stands: drums, what waits for one, funnels, rules. */
export function useSink() {
  const page = usePage(
    (signal) => call(sinkApi.get, { signal }),
    (event) => concerned.includes(event.subject),
  )
  void page.load()
  const sink = computed(() => page.value.value)
  const drums = computed(() => sink.value?.drums ?? [])
  const proposed = (family: Drum, ml: number, metal: string | null = null): WasteDrum | null =>
    proposedDrum(drums.value, { family, ml, metal })
  return { page, sink, drums, proposed }
}
export type SinkView = ReturnType<typeof useSink>
