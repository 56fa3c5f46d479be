import type { Endpoint, LiveEvent } from '@selvrin/core/contract'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { call, CallError, sentence } from './call'
import { keepTrying } from './keepTrying'
import { latest } from './latest'
import { onChange } from './live'
import type { RowOf } from './rows'

const settleMs = 200

/**
 * What is over, a page at a time: the newest first, found by the server with what `query` says now, or nothing asked while it says null. A row that is told
 * changes in its place; a list that may have got longer is asked for again.
 */
export function usePaged<E extends Endpoint>(
  endpoint: E,
  query: () => Record<string, unknown> | null,
  {
    subject,
    holds,
    atOnce = 40,
  }: {
    /** whose changes are told; none where nobody tells */ subject?: LiveEvent['subject']
    holds: (row: RowOf<E>) => boolean
    atOnce?: number
  },
) {
  type Row = RowOf<E> & { id: string }
  const rows = shallowRef<Row[]>([])
  const after = ref<string | null>(null)
  const loaded = ref(false)
  const problem = ref('')
  const busy = ref(false)
  const turns = latest()

  /** Asks from `from` on: null for the beginning, as far as it was looked through already. */
  async function ask(from: string | null): Promise<void> {
    const asked = query()
    const unwanted = turns.begin()
    if (asked === null) {
      rows.value = []
      after.value = null
      loaded.value = false
      return
    }
    busy.value = true
    const limit = from === null ? Math.min(200, Math.max(atOnce, rows.value.length)) : atOnce
    const page = await keepTrying(
      (signal) => call(endpoint, { query: { ...asked, limit, ...(from === null ? {} : { after: from }) } as never, signal }),
      (said) => void (problem.value = said),
      unwanted,
    ).catch((error: unknown) => {
      if (error instanceof CallError && !unwanted.aborted) problem.value = sentence(error)
      return null
    })
    if (unwanted.aborted) return
    busy.value = false
    if (page === null) return
    const { rows: more, after: next } = page as { rows: Row[]; after: string | null }
    rows.value = from === null ? more : [...rows.value, ...more]
    after.value = next
    loaded.value = true
    problem.value = ''
  }
  function take(id: string, row: Row | null): void {
    const belongs = row !== null && holds(row)
    if (rows.value.some((one) => one.id === id)) rows.value = rows.value.flatMap((one) => (one.id === id ? (belongs ? [row] : []) : [one]))
    else if (belongs) soon(settleMs)
  }
  /** What the server answered to a change made here: it is shown before it is told. */
  const put = (row: Row): void => take(row.id, row)
  let again = 0
  const soon = (ms: number): void => {
    clearTimeout(again)
    again = window.setTimeout(() => void ask(null), ms)
  }
  const asked = computed(() => JSON.stringify(query()))
  watch(asked, (_, before) => {
    // what was found by other words is not what is looked for now
    rows.value = []
    soon(before === 'null' ? 0 : settleMs)
  })
  onBeforeUnmount(
    onChange((event) => {
      if (query() === null || (event !== 'all' && event.subject !== subject)) return
      if (event === 'all' || event.row === undefined) soon(settleMs)
      else take(event.id, event.row as Row | null)
    }),
  )
  onBeforeUnmount(() => {
    turns.end()
    clearTimeout(again)
  })
  void ask(null)
  const more = (): Promise<void> => (after.value === null ? Promise.resolve() : ask(after.value))
  const hasMore = computed(() => after.value !== null)
  return { rows, loaded, problem, busy, more, hasMore, put }
}
