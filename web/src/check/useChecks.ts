import { checkApi, type Fixture } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'

const rank: Record<Fixture['standing']['standing'], number> = { failed: 0, overdue: 1, never: 2, due: 3, good: 4 }

/** What the darkroom has for its safety: what needs somebody first. */
export function useChecks() {
  const page = usePage(
    (signal) => call(checkApi.list, { signal }),
    (event) => event.subject === 'sink',
  )
  void page.load()
  const fixtures = computed((): Fixture[] =>
    [...(page.value.value?.fixtures ?? [])].sort((a, b) => rank[a.standing.standing] - rank[b.standing.standing]),
  )
  const blocks = computed(() => Object.values(page.value.value?.blocks ?? {}).filter((one) => one !== null))
  return { page, fixtures, blocks }
}
