import { DomainError, guideOf, judge, testKinds, type Judgement, type PictureReading, type TestKind } from '@selvrin/core'
import { api, type BottlePage, type PictureMarks, type Proof, type ProofContext, type Suspect } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { useSending } from '../api/useSending'
import { usePage } from '../api/usePage'
import { useTyped } from '../hand/typed'
import { trendOf } from './trend'
import { useReading } from './useReading'

export interface KeptPicture {
  name: string
  blob: Blob
  marks: PictureMarks
}

const kindIn = (word: unknown): TestKind | null => testKinds.find((kind) => kind === word) ?? null

/** A test of the bottle that the address names: led through, read, judged while it is typed, written down. */
export function useTest() {
  const route = useRoute()
  const typing = useTyped()
  const { busy, problem, act } = useAction()
  const { share: sent, sending, stop } = useSending()
  const kind = computed(() => kindIn(route.params.kind))
  const guide = computed(() => (kind.value ? guideOf(kind.value) : null))
  const said = useReading(kind)
  const { form, figure, filmKind, fresh, reading, takePhoto, clear } = said
  const bottleId = computed(() => String(route.params.id))
  const bottle = shallowRef<BottlePage | null>(null)
  const context = shallowRef<ProofContext | null>(null)
  const phase = ref<'steps' | 'reading' | 'written'>('steps')
  const proofId = ref(uuid())
  const note = ref('')
  const picture = shallowRef<KeptPicture | null>(null)
  const written = shallowRef<{ proof: Proof; suspects: Suspect[] } | null>(null)

  const page = usePage(
    async (signal) => {
      const [got, known] = await Promise.all([
        call(api.bottle.get, { params: { id: bottleId.value }, signal }),
        call(api.proof.context, { params: { id: bottleId.value }, signal }),
      ])
      return { got, known }
    },
    // someone else may pour from it or test it meanwhile; what was typed here stays
    (event) => event.id === bottleId.value,
  )
  watch(page.value, (answer) => {
    bottle.value = answer?.got ?? null
    context.value = answer?.known ?? null
  })
  watch([bottleId, kind], () => page.begin(), { immediate: true })

  const reference = computed(() => (kind.value ? (context.value?.references[kind.value] ?? null) : null))
  /** A fresh reading is offered while the batch is young and has none of its own. */
  const mayBeFresh = computed(
    () => bottle.value?.batchId != null && reference.value?.from !== 'batch' && bottle.value.state.rollsPerL === 0 && form.value !== null,
  )
  watch(mayBeFresh, (may) => (fresh.value = may && (bottle.value?.state.ageDays ?? 99) < 2), { immediate: true })
  // the fresh reading was taken on one kind of film: the next is compared with it on the same
  watch(reference, (known) => {
    if (known?.slowClearing != null) filmKind.value ??= known.slowClearing ? 'slow' : 'ordinary'
  })
  const judged = computed((): { judgement: Judgement | null; problem: string; implausible?: boolean } => {
    if (!kind.value || !context.value || !reading.value) return { judgement: null, problem: '' }
    try {
      return {
        judgement: judge(kind.value, reading.value, { ...context.value, reference: fresh.value ? null : reference.value }),
        problem: '',
        implausible: reading.value.doubtful !== undefined,
      }
    } catch (error) {
      return {
        judgement: null,
        implausible: error instanceof DomainError && error.code === 'implausible',
        problem: error instanceof DomainError ? error.message : 'This cannot be judged.',
      }
    }
  })
  const trend = computed(() => {
    if (!kind.value || !context.value || !bottle.value) return null
    const now = written.value?.proof
    const proofs = now ? [...context.value.proofs.filter((one) => one.id !== now.id), now] : context.value.proofs
    return trendOf(kind.value, proofs, context.value, bottle.value)
  })

  /** The steps are done; what a stopwatch said is the figure. */
  function read(seconds: number | null): void {
    if (seconds !== null) figure.value = String(seconds)
    phase.value = 'reading'
  }
  function fromPhoto(found: PictureReading | null, kept: KeptPicture | null): void {
    takePhoto(found)
    picture.value = kept
  }
  async function write(): Promise<void> {
    const [asked, what, kept] = [kind.value, reading.value, picture.value]
    if (!asked || !what) {
      problem.value = 'Write down what was read first.'
      return
    }
    const body = { id: proofId.value, kind: asked, bottleId: bottleId.value, reading: what, fresh: fresh.value, note: note.value }
    const good = await act(async () => {
      written.value = kept
        ? await sending((parts) =>
            call(api.proof.write, { body: { ...body, picture: { name: kept.name, marks: kept.marks } }, file: kept.blob, ...parts }),
          )
        : await call(api.proof.write, { body })
    })
    if (!good) return
    typing.kept()
    phase.value = 'written'
    await page.load()
  }
  function again(): void {
    proofId.value = uuid()
    clear()
    picture.value = null
    written.value = null
    phase.value = 'steps'
  }
  return {
    ...{ kind, guide, bottle, context, page, phase, note, written },
    ...{ said, reference, mayBeFresh, judged, trend },
    ...{ busy, problem, sent, stop, read, fromPhoto, write, again },
  }
}
export type Testing = ReturnType<typeof useTest>
