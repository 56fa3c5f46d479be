import type { Area } from '@selvrin/core'
import { computed, ref, watch } from 'vue'
import { areaBetween, byKey } from '../hand/area'
import type { Mark } from '../proof/marking'
import { broken, useOpened } from '../proof/useOpened'

/** A place to mark, and where it appears when it is marked by keys. */
export interface Place {
  key: string
  name: string
  first: Area
}

/** A photograph on which places are marked, by pointer or by keys; once all are, `measure` reads something off them. */
export function useMarkedPhoto<T extends object>(places: Place[], measure: (areas: Area[]) => Promise<T | { problem: string }>) {
  const working = ref(false)
  const first = (): Mark[] => places.map(({ key, name }) => ({ key, name, area: null }))
  const marks = ref<Mark[]>(first())
  const active = ref(places[0]?.key ?? '')
  const found = ref<T | null>(null)
  let asked = 0
  const opened = useOpened(working, {
    begun: () => void (asked++, (found.value = null)),
    there: () => {
      marks.value = first()
      active.value = places[0]?.key ?? ''
      working.value = false
      return Promise.resolve()
    },
  })
  async function read(): Promise<void> {
    const areas = marks.value.flatMap((mark) => (mark.area ? [{ ...mark.area }] : []))
    if (areas.length < places.length || opened.isOpening.value) return
    const mine = ++asked
    const answer = await measure(areas).catch(broken)
    if (mine !== asked) return
    opened.problem.value = 'problem' in answer ? answer.problem : ''
    found.value = 'problem' in answer ? null : (answer as T)
  }
  watch(marks, () => void read(), { deep: true })
  const set = (key: string, area: Area): void => {
    marks.value = marks.value.map((mark) => (mark.key === key ? { ...mark, area } : mark))
  }
  return {
    ...opened,
    ...{ marks, active, found },
    toMark: computed(() => marks.value.filter((mark) => mark.area === null).map((mark) => mark.name)),
    draw: (from: { x: number; y: number }, to: { x: number; y: number }) => set(active.value, areaBetween(from, to)),
    /** Places, moves or resizes an area by a key; whether the key meant something. */
    press(mark: Mark, { key, shiftKey, altKey }: KeyboardEvent): boolean {
      const area = byKey(
        mark.area ?? places.find((one) => one.key === mark.key)?.first ?? areaBetween({ x: 0.4, y: 0.4 }, { x: 0.6, y: 0.6 }),
        key,
        shiftKey,
        altKey ? 0.002 : 0.01,
      )
      if (area) set(mark.key, area)
      return area !== null
    },
  }
}
export type MarkedPhoto = Pick<
  ReturnType<typeof useMarkedPhoto<object>>,
  'problem' | 'doing' | 'name' | 'opened' | 'bitmap' | 'open' | 'stop' | 'marks' | 'active' | 'toMark' | 'draw' | 'press'
>
