import { api } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import type { EveningView } from './useEvening'

/** orders that are shown of those with the words */
const most = 30

/** Orders that wait and have all the words somebody looks for; what is typed while one answer is on its way is asked for after it. */
export function useFound({ addFound }: Pick<EveningView, 'addFound'>) {
  const kept = ref(new Set<string>())
  const { problem, act } = useAction({ keeps: false })
  let wanted = ''
  async function look(find: string): Promise<void> {
    const { rows } = await call(api.order.list, { query: { find, which: 'open', limit: most } })
    const waiting = rows.filter((order) => order.state === 'waiting')
    addFound(waiting)
    kept.value = new Set(waiting.map((order) => order.id))
  }
  function ask(words: string): Promise<boolean> {
    wanted = words.trim()
    return act(async () => {
      let asked: string
      do {
        asked = wanted
        if (asked !== '') await look(asked)
      } while (asked !== wanted)
    })
  }
  return { kept, ask, problem }
}
