import { coatApi, type UvLamp } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'

/** The coating bench: lamps, bottles for it, prints in the making, the last exposures. */
export function useCoating() {
  const page = usePage(
    (signal) => call(coatApi.get, { signal }),
    (event) => event.subject === 'trays' || event.subject === 'bottle',
  )
  void page.load()
  const there = computed(() => page.value.value)
  const lamps = computed((): UvLamp[] => there.value?.lamps ?? [])
  return { page, there, lamps }
}
