import type { PictureReading } from '@selvrin/core'
import { pictureBytes, type PictureMarks } from '@selvrin/core/contract'
import { computed, onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import { whileAsked } from '../api/telling'
import { areaBetween, byKey } from '../hand/area'
import { firstMarks, firstPlace, marksOf, wedgeStep, type Mark, type PatchNames } from './marking'
import { pictures } from './pictures'
import type { KeptPicture } from './useTest'

/** a browser that ran out of memory, say: whatever it is, the figures can be typed */
const broken = () => ({ problem: 'The picture could not be read here. Try a smaller one, or type the densities.' })

/**
 * A photograph that densities are taken off: opened and measured in a worker, marked, read again with every mark. `working` while what stands beside it is
 * still of the picture before; a reading is `told` together with the picture it was read off, or not at all.
 */
export function usePhoto(
  working: Ref<boolean>,
  told: (reading: PictureReading | null, kept: KeptPicture | null) => void,
  names?: PatchNames,
) {
  const problem = ref('')
  const doing = ref<{ done: number; what: string } | null>(null)
  const name = ref('')
  const opened = shallowRef<{ width: number; height: number; kept: Blob } | null>(null)
  const bitmap = shallowRef<ImageBitmap | null>(null)
  const marks = ref<Mark[]>(firstMarks(names))
  const active = ref('empty')
  /** the picture shows no clear film, so the ratio cannot be net of base and fog */
  const noClear = ref(false)
  const reading = shallowRef<PictureReading | null>(null)
  /** the latest picture and the latest reading asked of the worker: an answer to an older one is dropped. Marking while a picture opens asks for no reading. */
  let opening = 0
  let asked = 0
  const isOpening = ref(false)

  function tell(found: PictureReading | null, on?: PictureMarks): void {
    reading.value = found
    told(found, found && on && opened.value ? { name: name.value, blob: opened.value.kept, marks: on } : null)
  }
  function drop(): void {
    opened.value = null
    name.value = ''
    doing.value = null
    working.value = isOpening.value = false
  }
  async function open(file: File | undefined): Promise<void> {
    if (!file) return
    problem.value = ''
    if (!/^image\//.test(file.type)) {
      problem.value = 'This is no picture. Choose a PNG or JPEG photograph.'
      return
    }
    const mine = ++opening
    asked++
    tell(null)
    working.value = true
    isOpening.value = true
    doing.value = { done: 0, what: 'Opening the picture' }
    const answer = await whileAsked(
      (done: number, what: string) => void (mine === opening && (doing.value = { done, what })),
      async (tell) => await pictures().open(file, tell),
    ).catch(broken)
    if (mine !== opening) return
    if ('problem' in answer || answer.kept.size > pictureBytes) {
      problem.value = 'problem' in answer ? answer.problem : 'The picture is too large to keep. Take it smaller.'
      drop()
      return
    }
    doing.value = null
    isOpening.value = false
    name.value = file.name
    // another picture lies otherwise: what was marked on the last one is marked anew
    marks.value = firstMarks(names)
    noClear.value = false
    active.value = 'empty'
    bitmap.value?.close()
    bitmap.value = await createImageBitmap(answer.kept)
    opened.value = answer
    await measure()
  }
  /** The picture that is being opened is not wanted any more. */
  function stop(): void {
    opening++
    drop()
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
  onBeforeUnmount(() => {
    opening++
    asked++
    working.value = false
    bitmap.value?.close()
  })

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
