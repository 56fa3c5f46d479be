import { besideOf, collisionsOf, handsOnOf, type Beside, type HandsOn } from '@selvrin/core'
import { computed } from 'vue'
import { useClocks } from './clocks'

/** how far ahead is told what the hands do, and how many lines of it, ms */
const aheadMs = 600_000
const most = 6

/** What the hands do next across all running clocks, in order, and where two of them want the same hands. */
export function useHandsNext() {
  const clocks = useClocks()
  const beside = computed((): Beside[] =>
    clocks.running.flatMap(({ id }) => {
      const [run, clock] = [clocks.runs.get(id), clocks.clockOf(id)]
      const one = run && clock && besideOf(`Run ${run.number}`, run.plan.vessel.kind === 'rotary', clock)
      return one ? [one] : []
    }),
  )
  const next = computed((): HandsOn[] =>
    beside.value
      .flatMap(handsOnOf)
      .filter((one) => one.untilAt > clocks.time && one.fromAt < clocks.time + aheadMs)
      .sort((a, b) => a.fromAt - b.fromAt)
      .slice(0, most),
  )
  const collisions = computed(() =>
    collisionsOf(beside.value)
      .filter((one) => one.untilAt > clocks.time && one.at < clocks.time + aheadMs)
      .slice(0, 3),
  )
  return { next, collisions, beside }
}
