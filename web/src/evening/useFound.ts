import { api } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import type { EveningView } from './useEvening'

/** orders that are shown of those with the words */
const most = 30

/** Orders that wait and have all the words somebody looks for; the last words asked for are answered. */
export function useFound({ addFound }: EveningView) {
  const kept = ref(new Set<string>())
  const { problem, act } = useAction({ keeps: false })
  let turn = 0
  const ask = (words: string): Promise<boolean> =>
    act(async () => {
      const mine = ++turn
      if (words.trim() === '') return
      const { rows } = await call(api.order.list, { query: { find: words.trim(), which: 'open', limit: most } })
      if (mine !== turn) return
      const waiting = rows.filter((order) => order.state === 'waiting')
      addFound(waiting)
      kept.value = new Set(waiting.map((order) => order.id))
    })
  return { kept, ask, problem }
}
