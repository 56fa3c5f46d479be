import type { PictureReading } from '@selvrin/core'
import type { PictureMarks } from '@selvrin/core/contract'
import { computed, onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import { areaBetween, byKey } from '../hand/area'
import { firstMarks, firstPlace, marksOf, wedgeStep, type Mark, type PatchNames } from './marking'
import { pictures } from './pictures'
import { broken, useOpened } from './useOpened'
import type { KeptPicture } from './useTest'

/**
 * A photograph that densities are taken off: opened and measured in a worker, marked, read again with every mark. `working` while what stands beside it is
 * still of the picture before; a reading is `told` together with the picture it was read off, or not at all.
 */
export function usePhoto(
  working: Ref<boolean>,
  told: (reading: PictureReading | null, kept: KeptPicture | null) => void,
  names?: PatchNames,
) {
  const marks = ref<Mark[]>(firstMarks(names))
  const active = ref('empty')
  /** the picture shows no clear film, so the ratio cannot be net of base and fog */
  const noClear = ref(false)
  const reading = shallowRef<PictureReading | null>(null)
  /** the latest reading asked of the worker: an answer to an older one is dropped. Marking while a picture opens asks for no reading. */
  let asked = 0
  const { problem, doing, name, opened, bitmap, isOpening, open, stop } = useOpened(working, {
    begun: () => {
      asked++
      tell(null)
    },
    there: () => {
      // another picture lies otherwise: what was marked on the last one is marked anew
      marks.value = firstMarks(names)
      noClear.value = false
      active.value = 'empty'
      return measure()
    },
  })

  function tell(found: PictureReading | null, on?: PictureMarks): void {
    reading.value = found
    told(found, found && on && opened.value ? { name: name.value, blob: opened.value.kept, marks: on } : null)
  }

  const asMarks = computed(() => marksOf(marks.value, noClear.value))
  async function measure(): Promise<void> {
    if (!opened.value || isOpening.value) return
    const mine = ++asked
    if (!asMarks.value) {
      // no verdict before every area is marked
      tell(null)
      working.value = false
      return
    }
    working.value = true
    const plain = JSON.parse(JSON.stringify(asMarks.value)) as PictureMarks
    const answer = await pictures().read(plain).catch(broken)
    if (mine !== asked) return
    problem.value = 'problem' in answer ? answer.problem : ''
    tell('problem' in answer ? null : answer, plain)
    working.value = false
  }
  watch(asMarks, () => void measure(), { deep: true })
  onBeforeUnmount(() => void asked++)

  const set = (key: string, area: Mark['area']) => {
    marks.value = marks.value.map((mark) => (mark.key === key ? { ...mark, area } : mark))
  }
  return {
    ...{ problem, doing, name, opened, bitmap, open, stop },
    ...{ marks, active, noClear, reading },
    toMark: computed(() => marks.value.filter((mark) => mark.area === null && !(mark.key === 'base' && noClear.value))),
    /** Draws the chosen area between two corners. */
    draw: (from: { x: number; y: number }, to: { x: number; y: number }) => set(active.value, areaBetween(from, to)),
    /** Places, moves or resizes an area by a key; whether the key meant something. */
    press(mark: Mark, { key, shiftKey, altKey }: KeyboardEvent): boolean {
      const area = byKey(mark.area ?? firstPlace(mark.key), key, shiftKey, altKey ? 0.002 : 0.01)
      if (area) set(mark.key, area)
      return area !== null
    },
    addStep(): void {
      const step = wedgeStep(marks.value.filter((mark) => mark.density !== undefined).length)
      marks.value = [...marks.value, step]
      active.value = step.key
    },
    leaveOut: (key: string) => void (marks.value = marks.value.filter((one) => one.key !== key)),
  }
}
export type Photo = ReturnType<typeof usePhoto>
