<script setup lang="ts">
import { applyRepair, DomainError, families, familyNames, type Finding, type Repair } from '@selvrin/core'
import { api, type FormulaBody, type FormulaRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { catalogue, checkFormula, checkWeighing, shelfFindings } from '../chemical/chemistry'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import { useSession } from '../session/store'
import { useFormulas, useJars } from '../stores'
import { useTyped } from '../hand/typed'
import { readKept, writeKept } from '../hand/useKept'
import BothVersions from './BothVersions.vue'
import SchoolFields from './SchoolFields.vue'
import { draftOf, emptyDraft, emptyLine, formulaOf, readDraft, withPack, type Draft, type Problems } from './draft'
import { useShow } from '../session/useShow'

const show = useShow()
const route = useRoute()
const router = useRouter()
const formulas = useFormulas()
const session = useSession()
const jars = useJars()
const { busy, problem, current, act } = useAction()
const draft = reactive(emptyDraft(session.manner))
const shown = ref<Problems>({})
const newId = uuid()
const versionId = ref(uuid())
const typing = useTyped()
/** what is typed is kept for this tab, so that a reload brings it back */
const keptAs = `formula draft ${typeof route.params.id === 'string' ? route.params.id : 'new'}`
const based = ref<FormulaRow | null>(null)
const editing = computed(() => (typeof route.params.id === 'string' ? route.params.id : null))

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

const chemicals = Object.values(catalogue())
  .map((chemical) => ({ value: chemical.id, name: chemical.name }))
  .sort((a, b) => a.name.localeCompare(b.name))
const partChoices = computed(() =>
  formulas.rows.filter((row) => row.id !== editing.value && !row.body.combine).map((row) => ({ value: row.id, name: row.body.name })),
)
const familyChoices = families.map((value) => ({ value, name: familyNames[value] }))
const waters = [
  { value: 'tap' as const, name: 'Tap water' },
  { value: 'deionised' as const, name: 'Deionised water' },
]
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

/** Makes the repair a finding offers, in the draft: nothing is saved by it. */
function repair(change: Repair): void {
  if (!read.value.body) return
  const mended = applyRepair(formulaOf(read.value.body), change)
  Object.assign(draft, draftOf({ ...read.value.body, ...(mended as unknown as FormulaBody) }, session.manner))
}
function move(from: number, by: number): void {
  const [line] = draft.lines.splice(from, 1)
  if (line) draft.lines.splice(from + by, 0, line)
}
const overrule = ref('')
const grave = computed(() => read.value.body !== null && checkFormula(formulaOf(read.value.body)).some((one) => one.severity === 'error'))
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
/** Someone saved another version meanwhile: keep what was typed, and save it on top of theirs when asked. */
const theirs = computed(() => current.value as FormulaRow | null)
function overTheirs(): void {
  based.value = theirs.value
  versionId.value = uuid()
  void save()
}
</script>

<template>
  <div class="station">
    <PageState
      v-if="!ready"
      :missing="gone ? 'There is no such formula.' : ''"
      :problem="formulas.problem"
      what="the formula"
      back="Back to the Formulary"
      back-to="/formulary"
    />
    <form v-else class="grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1" @submit.prevent="save">
      <div class="space-y-6">
        <h1 class="text-3xl font-bold">{{ based ? `New version of ${based.body.name}` : 'New formula' }}</h1>
        <div class="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
          <TextField v-model="draft.name" label="Name" :problem="shown.name ?? ''" />
          <ChoiceField v-model="draft.family" label="Family" :choices="familyChoices" :problem="shown.family ?? ''" />
        </div>
        <TextField v-model="draft.purpose" label="What it is for" />
        <div class="grid grid-cols-4 gap-4 max-sm:grid-cols-2">
          <TextField v-model="draft.final" label="Makes" :problem="shown.final ?? ''" />
          <TextField v-model="draft.start" label="Start with water" :problem="shown.start ?? ''" />
          <TextField v-model="draft.mix" label="At" :problem="shown.mix ?? ''" />
          <ChoiceField v-model="draft.water" label="Water" :choices="waters" />
        </div>
        <fieldset>
          <legend class="mb-2 text-xl font-bold">Additions, in order</legend>
          <ol class="space-y-3">
            <li
              v-for="(line, i) in draft.lines"
              :key="line.key"
              class="grid grid-cols-[2rem_minmax(0,3fr)_minmax(0,2fr)_minmax(0,1fr)_auto] items-start gap-3 border-b border-line pb-3 max-sm:grid-cols-2"
            >
              <b class="pt-9 font-mono text-lg max-sm:hidden">{{ i + 1 }}</b>
              <ChoiceField v-model="line.chemical" label="Chemical" :choices="chemicals" />
              <TextField
                v-model="line.amount"
                label="Amount"
                :problem="shown[`line ${line.key}`] ?? ''"
                :hint="line.amount === '' ? `${show.unit('mass', null)}; ${show.unit('volume', null)} for liquids` : ''"
              />
              <TextField v-model="line.percent" label="% stock" />
              <div class="flex gap-1 pt-7">
                <button
                  type="button"
                  class="button button-small"
                  :disabled="i === 0"
                  :aria-label="`Move addition ${i + 1} up`"
                  @click="move(i, -1)"
                >
                  ↑
                </button>
                <button
                  type="button"
                  class="button button-small"
                  :disabled="i === draft.lines.length - 1"
                  :aria-label="`Move addition ${i + 1} down`"
                  @click="move(i, 1)"
                >
                  ↓
                </button>
                <button
                  type="button"
                  class="button button-small"
                  :aria-label="`Take addition ${i + 1} out`"
                  @click="draft.lines.splice(i, 1)"
                >
                  ✕
                </button>
              </div>
              <details class="col-start-2 col-end-5 max-sm:col-span-2 max-sm:col-start-1">
                <summary class="link">
                  Temperature and note{{ line.at || line.note ? ` (${[line.at, line.note].filter(Boolean).join(', ')})` : '' }}
                </summary>
                <div class="mt-2 grid grid-cols-[8rem_minmax(0,1fr)] gap-3">
                  <SwitchField
                    class="col-span-2"
                    :model-value="line.kept.wholePack !== undefined"
                    label="A sealed pack"
                    detail="its powders are used whole"
                    @update:model-value="(pack: boolean) => (line.kept = withPack(line.kept, pack))"
                  />
                  <TextField v-model="line.at" label="Goes in at" />
                  <TextField v-model="line.note" label="What to watch" />
                </div>
              </details>
            </li>
          </ol>
          <button type="button" class="button button-small mt-3" @click="draft.lines.push(emptyLine())">Add a chemical</button>
          <p class="mt-2 text-quiet">Leave the list empty for a bought concentrate or kit.</p>
        </fieldset>
        <fieldset>
          <legend class="mb-2 text-xl font-bold">Parts, poured together before use</legend>
          <ol class="space-y-3">
            <li v-for="(part, i) in draft.parts" :key="i" class="grid grid-cols-[5rem_minmax(0,1fr)_auto] items-start gap-3">
              <TextField v-model="part.part" label="Part" />
              <ChoiceField v-model="part.formulaId" label="Its own formula" :choices="partChoices" />
              <button
                type="button"
                class="button button-small mt-7"
                :aria-label="`Take part ${part.part} out`"
                @click="draft.parts.splice(i, 1)"
              >
                ✕
              </button>
            </li>
          </ol>
          <button
            type="button"
            class="button button-small mt-3"
            @click="draft.parts.push({ part: 'ABCD'[draft.parts.length] ?? '', formulaId: null })"
          >
            Add a part
          </button>
          <p v-if="shown.parts" class="mt-1 font-semibold text-alarm" role="alert">{{ shown.parts }}</p>
          <p class="mt-2 text-quiet">In their order; the dilutions below then give their parts and the water, such as 1+1+10.</p>
        </fieldset>
        <fieldset class="space-y-4">
          <legend class="mb-2 text-xl font-bold">How it is used</legend>
          <SchoolFields
            v-model="draft.school"
            :family="draft.family ?? ''"
            :fixer="draft.family === 'fixer' || draft.family === 'bleach-fix'"
            :problems="shown"
          />
          <TextField v-model="draft.dilutions" label="Dilutions" hint="stock, 1+1, 1+3" :problem="shown.dilutions ?? ''" />
          <div class="grid grid-cols-5 gap-4 max-sm:grid-cols-2">
            <TextField v-model="draft.full" label="Keeps full, days" :problem="shown.full ?? ''" />
            <TextField v-model="draft.half" label="Half full, days" :problem="shown.half ?? ''" />
            <TextField v-model="draft.working" label="Working, days" :problem="shown.working ?? ''" />
            <TextField v-model="draft.tray" label="In a tray, days" :problem="shown.tray ?? ''" />
            <TextField v-model="draft.usual" label="Usual time" hint="1:00 or 60 s" :problem="shown.usual ?? ''" />
          </div>
          <TextField v-model="draft.note" label="Note" multiline />
        </fieldset>
      </div>
      <aside class="space-y-5">
        <div class="card space-y-3">
          <ProblemLine :problem="problem" />
          <div v-if="theirs" class="space-y-2">
            <p>
              <b>Version {{ theirs.number }}</b> was saved by {{ theirs.changedBy }} meanwhile.
            </p>
            <BothVersions v-if="read.body" :theirs="theirs.body" :mine="read.body" />
            <button type="button" class="button button-small" @click="overTheirs">Keep mine as the version after it</button>
          </div>
          <TextField v-if="grave" v-model="overrule" label="Keep it all the same? Say why" hint="it stays on the version" />
          <button class="button button-main w-full" :disabled="busy">
            {{ based ? `Keep as version ${based.number + 1}` : 'Keep the formula' }}
          </button>
          <p class="text-quiet">What was mixed before keeps its own version.</p>
        </div>
        <section aria-live="polite">
          <h2 class="mb-2 text-xl font-bold">Findings</h2>
          <FindingList :findings="findings" @repair="repair" />
          <p v-if="read.body && findings.length === 0">The rules of mixing have nothing to say.</p>
          <p v-else-if="!read.body" class="text-quiet">Checked as soon as everything can be read.</p>
        </section>
      </aside>
    </form>
  </div>
</template>
