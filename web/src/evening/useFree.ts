import { meets, type PlacedLoad, type RotaProblem } from '@selvrin/core'
import { shallowRef, watch } from 'vue'
import type { Span } from './lanes'

/** s between two starts that are looked at */
const gridS = 60
/** ms of looking at a time: the page goes on in between */
const atATimeMs = 6

interface Ground {
  problem: RotaProblem
  placed: PlacedLoad[]
}

/** Where the chosen load could begin instead, tank by tank, with everything else where it is; worked out bit by bit. */
export function useFree(ground: () => Ground | null, chosen: () => string | null) {
  const free = shallowRef<Record<string, Span[]>>({})
  let turn = 0

  async function look({ problem, placed }: Ground, load: string): Promise<void> {
    const mine = ++turn
    free.value = {}
    const from = placed.find((one) => one.load === load)
    const kind = problem.loads.find((one) => one.id === load)?.kind
    if (!from || (problem.pinned ?? []).some((pin) => pin.load === load)) return
    const { waits: _, ...place } = from
    const others = placed.filter((one) => one !== from)
    const people = Array.from({ length: problem.hands }, (_unused, person) => person)
    const baths = from.bath === null ? [null] : problem.baths.map((bath) => bath.id)
    const can = (vessel: string, startS: number): boolean =>
      people.some((person) => baths.some((bath) => meets(problem, others, { ...place, vessel, startS, person, bath }).length === 0))
    let began = performance.now()
    for (const { id, kinds } of problem.vessels) {
      if (kind === undefined || !kinds.includes(kind)) continue
      const spans: Span[] = []
      for (let startS = problem.opensS; startS < problem.closesS; startS += gridS) {
        if (can(id, startS)) {
          const last = spans.at(-1)
          if (last && last.toS >= startS) last.toS = startS + gridS
          else spans.push({ fromS: startS, toS: startS + gridS })
        }
        if (performance.now() - began < atATimeMs) continue
        await new Promise((resolve) => setTimeout(resolve))
        if (mine !== turn) return
        began = performance.now()
      }
      free.value = { ...free.value, [id]: spans }
    }
  }
  watch(
    [ground, chosen],
    ([now, load]) => {
      turn++
      free.value = {}
      if (now && load !== null) void look(now, load)
    },
    { immediate: true },
  )
  return free
}
