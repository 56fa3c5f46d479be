import { eveningAsIs, namesInEvening, unplacedWords, type EveningBody, type EveningHouse } from '@selvrin/core'
import { type Evening, type EveningAct, eveningApi, type FilmOrder } from '@selvrin/core/contract'
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue'
import { call } from '../api/call'
import { onChange } from '../api/live'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { catalogue } from '../chemical/chemistry'
import { useTime } from '../hand/useTime'
import { boardOf } from './board'

/** What an evening stands on changes with any of these. */
const concerned = ['evening', 'order', 'room', 'fault', 'run', 'bottle', 'vessel', 'process', 'chart', 'rule', 'printing']
/** ms in which what is told belongs together */
const gatherMs = 200
/** ms between two looks at what has begun too late */
const lookEveryMs = 30_000

/** The evening of a day: as it is now, what it comes to, and how it is changed. */
export function useEvening(id: string) {
  const page = usePage((signal) => call(eveningApi.get, { params: { id }, signal }))
  /** What is told in one burst is asked for once: another plan tells of every order and bottle it moves. */
  let asking = 0
  const stop = onChange((event) => {
    if (event === 'all' || !concerned.includes(event.subject) || (event.subject === 'evening' && event.id !== id)) return
    clearTimeout(asking)
    asking = window.setTimeout(() => void page.load(), gatherMs)
  })
  onBeforeUnmount(() => {
    stop()
    clearTimeout(asking)
  })
  void page.load()
  const time = useTime(lookEveryMs)
  const evening = shallowRef<Evening | null>(null)
  watch(page.value, (now) => {
    // what this page wrote is newer than what was on its way meanwhile
    if (now && (evening.value === null || now.evening.version >= evening.value.version)) evening.value = now.evening
  })
  const house = computed((): EveningHouse | null => (page.value.value ? { ...page.value.value.house, catalogue: catalogue() } : null))
  /** orders that wait and were found by their words, where the page is told of the most pressing only */
  const found = shallowRef<FilmOrder[]>([])
  const addFound = (more: FilmOrder[]): void => {
    const newer = new Set(more.map((order) => order.id))
    found.value = [...found.value.filter((order) => !newer.has(order.id)), ...more]
  }
  const runs = computed(() => page.value.value?.runs ?? [])
  const orders = computed(() => {
    const told = page.value.value?.orders ?? []
    return [...told, ...found.value.filter((one) => !told.some((order) => order.id === one.id))]
  })
  const people = computed(() => page.value.value?.people ?? {})
  const asIs = computed(() => (evening.value && house.value ? eveningAsIs(evening.value.body, house.value, runs.value, time.value) : null))
  const names = computed(() =>
    evening.value && house.value && asIs.value
      ? namesInEvening(evening.value.body, { house: house.value, orders: orders.value, people: people.value, plans: asIs.value.plans })
      : null,
  )
  const board = computed(() =>
    evening.value && house.value && asIs.value && names.value
      ? boardOf(evening.value.body, {
          house: house.value,
          runs: runs.value,
          orders: orders.value,
          asIs: asIs.value,
          names: names.value,
          printers: people.value,
        })
      : null,
  )
  const { busy, problem, current, act } = useAction({ keeps: false })
  /** where somebody else was first, what they made of it is shown */
  watch(current, (theirs) => {
    if (theirs && typeof theirs === 'object' && 'body' in theirs) evening.value = theirs as Evening
  })
  const send = (what: Exclude<EveningAct, 'undone' | 'planned'>, body: EveningBody): Promise<boolean> =>
    act(async () => {
      if (!evening.value) return
      evening.value = await call(eveningApi.change, { params: { id }, body: { version: evening.value.version, what, body } })
    })
  const undo = (): Promise<boolean> =>
    act(async () => {
      if (!evening.value) return
      evening.value = await call(eveningApi.undo, { params: { id }, body: { version: evening.value.version } })
    })
  return { page, evening, house, runs, orders, addFound, people, asIs, names, board, time, busy, problem, act, send, undo, unplacedWords }
}
export type EveningView = ReturnType<typeof useEvening>
