import { computed, ref, watch } from 'vue'
import { areaBetween, byKey } from '../hand/area'
import type { Mark } from '../proof/marking'
import { pictures } from '../proof/pictures'
import { broken, useOpened } from '../proof/useOpened'

const places = { paper: { x: 0.04, y: 0.04, width: 0.1, height: 0.1 }, strip: { x: 0.1, y: 0.4, width: 0.8, height: 0.2 } }
const first = (): Mark[] => [
  { key: 'paper', name: 'Bare paper', area: null },
  { key: 'strip', name: 'Strip, all its bands', area: null },
]

/** The bands of a strip off a photograph of it: the paper's white and the whole strip are marked, by pointer or by keys. */
export function useStripPhoto(bands: number, read: (densities: number[]) => void) {
  const working = ref(false)
  const marks = ref<Mark[]>(first())
  const active = ref('paper')
  const densities = ref<number[] | null>(null)
  let asked = 0
  const opened = useOpened(working, {
    begun: () => void (asked++, (densities.value = null)),
    there: () => {
      marks.value = first()
      active.value = 'paper'
      working.value = false
      return Promise.resolve()
    },
  })
  const areaOf = (key: string) => marks.value.find((mark) => mark.key === key)?.area ?? null
  async function measure(): Promise<void> {
    const [paper, strip] = [areaOf('paper'), areaOf('strip')]
    if (!paper || !strip || opened.isOpening.value) return
    const mine = ++asked
    const plain = JSON.parse(JSON.stringify({ paper, strip, bands })) as { paper: typeof paper; strip: typeof strip; bands: number }
    const answer = await pictures().strip(plain).catch(broken)
    if (mine !== asked) return
    opened.problem.value = 'problem' in answer ? answer.problem : ''
    densities.value = 'problem' in answer ? null : answer.densities
    if (densities.value) read(densities.value)
  }
  watch(marks, () => void measure(), { deep: true })
  const set = (key: string, area: Mark['area']) => {
    marks.value = marks.value.map((mark) => (mark.key === key ? { ...mark, area } : mark))
  }
  return {
    ...opened,
    ...{ marks, active, densities },
    toMark: computed(() => marks.value.filter((mark) => mark.area === null).map((mark) => mark.name)),
    draw: (from: { x: number; y: number }, to: { x: number; y: number }) => set(active.value, areaBetween(from, to)),
    /** Places, moves or resizes an area by a key; whether the key meant something. */
    press(mark: Mark, { key, shiftKey, altKey }: KeyboardEvent): boolean {
      const area = byKey(mark.area ?? places[mark.key as keyof typeof places], key, shiftKey, altKey ? 0.002 : 0.01)
      if (area) set(mark.key, area)
      return area !== null
    },
  }
}
