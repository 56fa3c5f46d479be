import type { Bottle, BottlePage } from '@selvrin/core/contract'
import { computed, onMounted } from 'vue'
import { useBottles } from '../stores'

/** The bottles of the same formula beside one, by their place in a pair: `choices(null)` are the unpaired ones. */
export function useTwins(bottle: BottlePage) {
  const bottles = useBottles()
  onMounted(() => void bottles.load())
  const choices = (position: 1 | 2 | null) =>
    computed(() =>
      bottles.rows
        .filter((one) => one.formulaId === bottle.formulaId && one.id !== bottle.id && one.retiredAt === null)
        .filter((one) => (one.state.twoBath?.position ?? null) === position)
        .map((one) => ({ value: one.id, name: `${one.label} ${one.name}`, detail: `${one.state.rolls + one.state.paper} through so far` })),
    )
  const named = (id: string | null): Bottle | undefined => bottles.rows.find((one) => one.id === id)
  return { choices, named }
}
