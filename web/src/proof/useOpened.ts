import { pictureBytes } from '@selvrin/core/contract'
import { onBeforeUnmount, ref, shallowRef, type Ref } from 'vue'
import { whileAsked } from '../api/telling'
import { pictures } from './pictures'

/** a browser that ran out of memory, say: whatever it is, the figures can be typed */
export const broken = () => ({ problem: 'The picture could not be read here. Try a smaller one, or type the densities.' })

/**
 * A photograph opened in a worker, to be looked at and measured there. `working` while what stands beside it is still of the picture before; `begun` once another one is
 * chosen, `there` once it can be measured.
 */
export function useOpened(working: Ref<boolean>, { begun, there }: { begun: () => void; there: () => Promise<void> }) {
  const problem = ref('')
  const doing = ref<{ done: number; what: string } | null>(null)
  const name = ref('')
  const opened = shallowRef<{ width: number; height: number; kept: Blob } | null>(null)
  const bitmap = shallowRef<ImageBitmap | null>(null)
  /** the latest picture asked of the worker: an answer to an older one is dropped */
  let opening = 0
  const isOpening = ref(false)

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
    begun()
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
    bitmap.value?.close()
    bitmap.value = await createImageBitmap(answer.kept)
    opened.value = answer
    await there()
  }
  /** The picture that is being opened is not wanted any more. */
  function stop(): void {
    opening++
    drop()
  }
  onBeforeUnmount(() => {
    opening++
    working.value = false
    bitmap.value?.close()
  })
  return { problem, doing, name, opened, bitmap, isOpening, open, stop }
}
