import { applyRepair, DomainError, type Finding, type Repair } from '@selvrin/core'
import { api, type FormulaBody, type FormulaRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { checkFormula, checkWeighing, shelfFindings } from '../chemical/chemistry'
import { useTyped } from '../hand/typed'
import { readKept, writeKept } from '../hand/useKept'
import { useSession } from '../session/store'
import { useFormulas, useJars } from '../stores'
import { draftOf, emptyDraft, formulaOf, readDraft, type Draft, type Problems } from './draft'

/**
 * A formula while it is typed: a new one, a copy of another, or the next version of one, as the address says. What is typed is kept for this tab, so that a
 * reload brings it back, and checked by the rules of mixing as soon as it can be read.
 */
export function useFormulaDraft() {
  const route = useRoute()
  const router = useRouter()
  const session = useSession()
  const formulas = useFormulas()
  const jars = useJars()
  const typing = useTyped()
  const { busy, problem, current, act } = useAction()
  const draft = reactive(emptyDraft(session.manner))
  const shown = ref<Problems>({})
  const newId = uuid()
  const versionId = ref(uuid())
  const overrule = ref('')
  const based = ref<FormulaRow | null>(null)
  const editing = computed(() => (typeof route.params.id === 'string' ? route.params.id : null))
  const keptAs = `formula draft ${editing.value ?? 'new'}`
  /** an existing formula is shown when it is there, never as an empty form */
  const ready = ref(route.params.id === undefined && route.query.from === undefined)
  const gone = ref(false)

  /** From now on what is typed is somebody's, and kept for this tab. */
  function begin(): void {
    const before = readKept<{ draft: Draft; version: number | null }>(keptAs)
    if (before !== null) {
      Object.assign(draft, before.draft)
      // it rests on the version it was begun on: where someone saved another meanwhile the server says so
      if (based.value && before.version !== null) based.value = { ...based.value, version: before.version }
      typing.touched.value = true
    }
    watch(
      draft,
      (now) => {
        typing.touched.value = true
        writeKept(keptAs, { draft: now, version: based.value?.version ?? null })
      },
      { deep: true },
    )
  }
  // a new formula can be typed at once; another waits for what it is made from
  if (ready.value) begin()
  onMounted(async () => {
    void jars.load()
    await formulas.load()
    if (ready.value) return
    const source = formulas.rows.find((row) => row.id === (editing.value ?? route.query.from))
    gone.value = source === undefined
    if (!source) return
    Object.assign(draft, draftOf(source.body, session.manner))
    if (editing.value) based.value = source
    else draft.name = `${draft.name}, copy`
    begin()
    ready.value = true
  })

  const read = computed(() => readDraft(draft, session.manner))
  const findings = computed((): Finding[] => {
    if (!read.value.body) return []
    try {
      const formula = formulaOf(read.value.body)
      return [
        ...checkFormula(formula),
        ...checkWeighing(formula, session.darkroom?.scaleReadabilityG ?? 0.1),
        ...(jars.loaded ? shelfFindings(formula, jars.rows) : []),
      ]
    } catch (error) {
      return error instanceof DomainError ? [{ rule: error.code, severity: 'error', message: error.message }] : []
    }
  })
  /** It is kept only with a reason. */
  const grave = computed(() => read.value.body !== null && checkFormula(formulaOf(read.value.body)).some((one) => one.severity === 'error'))

  /** Makes the repair a finding offers, in the draft: nothing is saved by it. */
  function repair(change: Repair): void {
    if (!read.value.body) return
    const mended = applyRepair(formulaOf(read.value.body), change)
    Object.assign(draft, draftOf({ ...read.value.body, ...(mended as unknown as FormulaBody) }, session.manner))
  }
  async function save(): Promise<void> {
    shown.value = read.value.problems
    const { body } = read.value
    if (!body) {
      problem.value = 'Some of it cannot be read yet: see the marked fields.'
      return
    }
    const reason = overrule.value.trim() === '' ? {} : { overrule: overrule.value }
    const good = await act(() =>
      based.value
        ? call(api.formula.revise, {
            params: { id: based.value.id },
            body: { version: based.value.version, versionId: versionId.value, body, ...reason },
          })
        : call(api.formula.create, { body: { id: newId, versionId: versionId.value, body, ...reason } }),
    )
    if (!good) return
    typing.kept()
    writeKept(keptAs, null)
    await formulas.load(true)
    await router.push(`/formulary/${based.value?.id ?? newId}`)
  }
  /** Someone saved another version meanwhile: what was typed stays, and is saved on top of theirs when asked. */
  const theirs = computed(() => current.value as FormulaRow | null)
  function overTheirs(): void {
    based.value = theirs.value
    versionId.value = uuid()
    void save()
  }
  return {
    ...{ draft, shown, read, findings, grave, overrule, repair },
    ...{ ready, gone, listProblem: computed(() => formulas.problem), based, editing },
    ...{ busy, problem, save, theirs, overTheirs },
  }
}
export type FormulaDraft = ReturnType<typeof useFormulaDraft>
