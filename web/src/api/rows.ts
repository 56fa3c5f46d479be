import type { Endpoint, LiveEvent } from '@selvrin/core/contract'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { z } from 'zod'
import { call } from './call'
import { keepTrying } from './keepTrying'
import { latest } from './latest'
import { onChange } from './live'
import { patched, type Order } from './patch'

export type RowOf<E extends Endpoint> = z.output<E['response']> extends { rows: (infer Row)[] } ? Row : never
const settleMs = 120
/** an import tells thousands of rows at once */
const momentMs = 16

interface Follows<Row> {
  /** whose rows they are */
  subject: LiveEvent['subject']
  /** as the server orders them */
  order: Order<Row>
  /** which rows belong to the list, where not all do */
  holds?: (row: Row) => boolean
  /** what changes so many of its rows that it is asked for anew */
  askedAfter?: LiveEvent['subject'][]
  query?: Record<string, unknown>
}

/** A store of one list of the server's: loads every page of it once, and follows row by row what is told of it. After what may have been missed it loads again. */
export const listStore = <E extends Endpoint>(
  name: string,
  endpoint: E,
  { subject, order, holds = () => true, askedAfter = [], query = {} }: Follows<RowOf<E> & { id: string }>,
) =>
  defineStore(name, () => {
    type Row = RowOf<E> & { id: string }
    const rows = shallowRef<Row[]>([])
    const loaded = ref(false)
    const problem = ref('')
    let loading: Promise<void> | null = null
    let again = 0
    /** what was told while a load is under way: its answer may be older */
    let meanwhile: Map<string, Row | null> | null = null
    const told = new Map<string, Row | null>()

    async function fetchAll(signal: AbortSignal): Promise<void> {
      const all: Row[] = []
      meanwhile = new Map()
      let after: string | null = null
      do {
        const page = (await call(endpoint, { query: { ...query, ...(after === null ? {} : { after }) } as never, signal })) as {
          rows: Row[]
          after: string | null
        }
        all.push(...page.rows)
        after = page.after
      } while (after !== null)
      rows.value = patched(all, meanwhile, { order, holds })
      meanwhile = null
      loaded.value = true
      problem.value = ''
    }
    const turns = latest()
    const tryOn = (told: () => void = () => undefined): Promise<unknown> =>
      keepTrying(
        fetchAll,
        (said) => {
          problem.value = said
          told()
        },
        turns.begin(),
      )
    const firstTry = (): Promise<unknown> => new Promise((resolve) => void tryOn(() => resolve(undefined)).then(resolve, resolve))
    /**
     * Loads once; with `fresh` again, even while an earlier load is under way. What is shown stays until the answer is there. A first load answers when the
     * list is there, however long the server is away; a later one after its first try, and goes on trying behind it.
     */
    function load(fresh = false): Promise<void> {
      if (!fresh && (loaded.value || loading)) return loading ?? Promise.resolve()
      const before = loading ?? Promise.resolve()
      const mine: Promise<void> = before
        .then(() => (loaded.value ? firstTry() : tryOn()))
        .then(
          () => undefined,
          () => undefined,
        )
        .finally(() => void (loading === mine && (loading = null)))
      loading = mine
      return mine
    }
    onChange((event) => {
      if (event !== 'all' && event.subject === subject && event.row !== undefined) {
        told.set(event.id, event.row as Row | null)
        if (told.size === 1) window.setTimeout(takeTold, momentMs)
        return
      }
      const concerns = event === 'all' || event.subject === subject || askedAfter.includes(event.subject)
      if (!loaded.value || !concerns) return
      clearTimeout(again)
      again = window.setTimeout(() => void load(true), settleMs)
    })
    /** What is told in one burst is shown at once. */
    function takeTold(): void {
      const changes = new Map(told)
      told.clear()
      take(changes)
    }
    function take(changes: Map<string, Row | null>): void {
      for (const [id, row] of changes) meanwhile?.set(id, row)
      if (loaded.value) rows.value = patched(rows.value, changes, { order, holds })
    }
    /** What the server answered to a change made here: it is shown before it is told. */
    const put = (row: Row): void => take(new Map([[row.id, row]]))
    function forget(): void {
      rows.value = []
      loaded.value = false
    }
    return { rows, loaded, problem, load, put, forget }
  })
