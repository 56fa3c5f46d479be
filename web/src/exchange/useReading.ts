import type { ExchangeKind, Present, Understood } from '@selvrin/core'
import type { ImportRow } from '@selvrin/core/contract'
import { wrap } from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { whileAsked } from '../api/telling'
import { catalogue } from '../chemical/chemistry'
import type { ExchangeReading } from './understand.worker'
import type { Progress } from './useImport'

/** A file that was read, line by line, in a worker; nothing of it is written yet. */
export function useReading() {
  const fileName = ref('')
  const lines = shallowRef<Understood[]>([])
  const progress = ref<Progress | null>(null)
  /** why what has grave findings is written all the same: one reason for all of the file */
  const why = ref('')
  let worker: Worker | undefined

  const grave = computed(() => lines.value.filter((line) => line.row && line.grave).length)
  const wrong = computed(() => lines.value.filter((line) => line.state === 'wrong').length)
  const rows = computed(() =>
    lines.value.flatMap((line): ImportRow[] => {
      if (!line.row) return []
      const overrule = why.value.trim()
      return [line.row.kind === 'formulas' && line.grave && overrule !== '' ? { ...line.row, overrule } : line.row]
    }),
  )

  /** Throws what cannot be read of the file. */
  async function read(file: File, kind: ExchangeKind, present: Present): Promise<void> {
    fileName.value = file.name
    worker = new Worker(new URL('./understand.worker.ts', import.meta.url), { type: 'module' })
    try {
      const remote = wrap<ExchangeReading>(worker)
      const plain = JSON.parse(JSON.stringify(present)) as Present
      const text = await file.text()
      const answer = await whileAsked(
        (done: number, of: number) => void (progress.value = { words: 'Reading', done, of }),
        async (tell) => await remote.understand(kind, text, plain, catalogue(), tell),
      )
      if ('problem' in answer) throw new Error(answer.problem)
      lines.value = answer.lines
      if (answer.lines.length === 0) throw new Error('The file has no lines.')
    } finally {
      stop()
    }
  }
  function stop(): void {
    worker?.terminate()
    progress.value = null
  }
  function forget(): void {
    why.value = ''
    lines.value = []
    fileName.value = ''
  }
  onBeforeUnmount(() => worker?.terminate())
  return { fileName, lines, progress, why, grave, wrong, rows, read, stop, forget }
}
