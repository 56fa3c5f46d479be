import { byWeek } from '@selvrin/core'
import { weeksApi, type FilmOrder, type WeeksPage } from '@selvrin/core/contract'
import { computed, shallowRef, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'

/** The coming weeks as they were spread last, how far another spread is, and what can be done with them. */
export function useWeeks(zone: () => string) {
  const page = usePage(
    (signal) => call(weeksApi.get, { signal }),
    (event) => event.subject === 'weeks' || event.subject === 'printing',
  )
  void page.load()
  const weeks = shallowRef<WeeksPage | null>(null)
  watch(page.value, (now) => {
    if (now && (weeks.value === null || now.version >= weeks.value.version)) weeks.value = now
  })
  const result = computed(() => weeks.value?.result ?? null)
  const rows = computed(() => (result.value ? byWeek(result.value, zone()) : []))
  const orders = computed(() => new Map((weeks.value?.orders ?? []).map((order) => [order.id, order])))
  const named = (ids: string[]): FilmOrder[] => ids.flatMap((id) => orders.value.get(id) ?? [])
  /** orders whose promised day is another than the one they were spread to */
  const differing = computed(
    () => (result.value?.openings ?? []).flatMap(({ day, orders: ids }) => named(ids).filter((order) => order.promisedFor !== day)).length,
  )
  const busy = computed(() => weeks.value?.state === 'asked' || weeks.value?.state === 'running')
  const action = useAction({ keeps: false })
  const spread = (): Promise<boolean> => action.act(async () => void (weeks.value = await call(weeksApi.spread, { body: {} })))
  const promise = (): Promise<boolean> =>
    action.act(async () => void (weeks.value = await call(weeksApi.promise, { body: { version: weeks.value?.version ?? 1 } })))
  watch(action.current, (theirs) => {
    if (theirs && typeof theirs === 'object' && 'state' in theirs) weeks.value = theirs as WeeksPage
  })
  return { page, weeks, result, rows, named, differing, busy, spread, promise, problem: action.problem, sending: action.busy }
}
