import { meetingWords, meets, type EveningNames, type InTheWay, type PlacedLoad, type RotaProblem } from '@selvrin/core'
import { computed, shallowRef } from 'vue'

/** A load that is being moved: where it would be, and what it would meet there. */
export interface Moving {
  place: PlacedLoad
  meets: InTheWay[]
}

interface Ground {
  problem: RotaProblem
  placed: PlacedLoad[]
  names: EveningNames
}

/**
 * Moving one load over an evening in which everything else stays where it is. Whoever led it leads it on, or else somebody else who can; so it is with its bath.
 */
export function useMoving(ground: () => Ground | null) {
  const moving = shallowRef<Moving | null>(null)

  /** Where it would be best there: led by whoever meets nothing, in the bath that meets nothing. */
  function bestAt({ problem, placed }: Ground, wanted: PlacedLoad): Moving {
    const others = placed.filter((one) => one.load !== wanted.load)
    const people = [wanted.person, ...Array.from({ length: problem.hands }, (_, i) => i).filter((i) => i !== wanted.person)]
    const baths = wanted.bath === null ? [null] : [wanted.bath, ...problem.baths.map((one) => one.id).filter((id) => id !== wanted.bath)]
    let first: Moving | null = null
    for (const bath of baths)
      for (const person of people) {
        const place = { ...wanted, person, bath }
        const tried = { place, meets: meets(problem, others, place) }
        if (tried.meets.length === 0) return tried
        first ??= tried
      }
    return first as Moving
  }

  function moveTo(load: string, to: { startS: number; vessel: string }): void {
    const now = ground()
    const from = now?.placed.find((one) => one.load === load)
    if (!now || !from) return
    // its waits were for where it was
    const { waits: _, ...place } = from
    const same = to.startS === from.startS && to.vessel === from.vessel
    moving.value = same ? { place: from, meets: [] } : bestAt(now, { ...place, ...to })
  }
  const says = computed((): string[] => {
    const now = ground()
    const { value } = moving
    if (!now || !value) return []
    const stepsOf = (id: string): number => now.problem.loads.find((one) => one.id === id)?.steps.length ?? 0
    return value.meets.map((meeting) => meetingWords(meeting, now.names, stepsOf))
  })
  const leave = (): void => void (moving.value = null)
  return { moving, says, moveTo, leave, bestAt: (wanted: PlacedLoad) => (ground() ? bestAt(ground() as Ground, wanted) : null) }
}
export type Mover = ReturnType<typeof useMoving>
