import type { Endpoint, LiveEvent } from '@selvrin/core/contract'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { z } from 'zod'
import { call } from './call'
import { keepTrying } from './keepTrying'
import { onChange } from './live'

type RowOf<E extends Endpoint> = z.output<E['response']> extends { rows: (infer Row)[] } ? Row : never
const settleMs = 120

/** A store of one list of the server's: loads every page of it, and again whenever a change of one of its subjects is told. */
export const listStore = <E extends Endpoint>(
  name: string,
  endpoint: E,
  subjects: LiveEvent['subject'][],
  query: Record<string, unknown> = {},
) =>
  defineStore(name, () => {
    const rows = shallowRef<RowOf<E>[]>([])
    const loaded = ref(false)
    const problem = ref('')
    let loading: Promise<void> | null = null
    let again = 0

    async function fetchAll(): Promise<void> {
      const all: RowOf<E>[] = []
      let after: string | null = null
      do {
        const page = (await call(endpoint, { query: { ...query, ...(after === null ? {} : { after }) } as never })) as {
          rows: RowOf<E>[]
          after: string | null
        }
        all.push(...page.rows)
        after = page.after
      } while (after !== null)
      rows.value = all
      loaded.value = true
      problem.value = ''
    }
    let turn = 0
    const tryOn = (): Promise<unknown> => {
      const mine = ++turn
      return keepTrying(
        () => fetchAll(),
        (said) => void (problem.value = said),
        () => mine !== turn,
      )
    }
    const firstTry = (): Promise<unknown> =>
      new Promise((resolve) => {
        const mine = ++turn
        keepTrying(
          () => fetchAll(),
          (said) => {
            problem.value = said
            resolve(undefined)
          },
          () => mine !== turn,
        ).then(resolve, resolve)
      })
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
      if (!loaded.value || (event !== 'all' && !subjects.includes(event.subject))) return
      clearTimeout(again)
      again = window.setTimeout(() => void load(true), settleMs)
    })
    function forget(): void {
      rows.value = []
      loaded.value = false
    }
    return { rows, loaded, problem, load, forget }
  })
