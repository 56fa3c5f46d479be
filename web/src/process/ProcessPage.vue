<script setup lang="ts">
import { moveStep, setOption, writeProcessFile, type ProcessBody } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import ChoiceField from '../fields/ChoiceField.vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { download } from '../hand/download'
import { useTyped } from '../hand/typed'
import { useProcesses } from '../stores'
import CopyStepsPanel from './CopyStepsPanel.vue'
import DraftFindings from './DraftFindings.vue'
import OptionFields from './OptionFields.vue'
import ProcessRibbon from './ProcessRibbon.vue'
import StepPanel from './StepPanel.vue'
import { useProcessDraft } from './useProcessDraft'
import VersionsPanel from './VersionsPanel.vue'

/** A process, read and written: its steps as a ribbon, one of them open below, and what is wrong with it. */
const route = useRoute()
const router = useRouter()
const processes = useProcesses()
const { busy, problem, act } = useAction()
const typing = useTyped()
const drafting = useProcessDraft()
const { body, draft, step, selected, canUndo } = drafting
const isNew = computed(() => route.params.id === 'new')
const page = usePage(
  (signal) => call(api.process.get, { params: { id: String(route.params.id) }, signal }),
  (event) => event.subject === 'process' && event.id === route.params.id,
)
const [newId, copying] = [uuid(), ref(false)]
const written = computed(() => (isNew.value ? null : page.value.value))
const touched = computed(() => canUndo.value && JSON.stringify(body.value) !== JSON.stringify(written.value?.body))
watch(touched, (is) => (typing.touched.value = is))
/** the version that what is written here began with */
const basedOn = ref<number | null>(null)
function begin(from: ProcessBody, number: number | null): void {
  drafting.begin(from)
  basedOn.value = number
}
watch(written, (row) => {
  // what is being written is not lost when someone else writes a version meanwhile
  if (row && !touched.value) begin(row.body, row.number)
})
const overtaken = computed(() => touched.value && written.value !== null && basedOn.value !== null && written.value.number > basedOn.value)
onMounted(async () => {
  void processes.load()
  if (!isNew.value) return void page.load()
  await processes.load()
  const from = processes.rows.find((one) => one.id === route.query.from)
  if (from) begin({ ...from.body, name: `${from.body.name}, ours` }, null)
})
const set = (part: Partial<ProcessBody>) => drafting.act((now) => ({ ...now, ...part }))
const vessels = [
  { value: 'any', name: 'By hand or in a drum' },
  { value: 'hand', name: 'A tank worked by hand' },
  { value: 'rotary', name: 'A rotary drum' },
]
function setVessel(value: string | null): void {
  drafting.act(({ vessel: _, ...now }) => (value === 'hand' || value === 'rotary' ? { ...now, vessel: value } : now))
}
const on = computed(() => new Set(body.value?.options.flatMap((one) => (one.on ? [one.id] : [])) ?? []))

async function keep(): Promise<void> {
  const now = body.value
  if (!now) return
  const versionId = uuid()
  const row = written.value
  const good = await act(async () => {
    const kept = row
      ? await call(api.process.revise, { params: { id: row.id }, body: { version: row.version, versionId, body: now } })
      : await call(api.process.create, { body: { id: newId, versionId, body: now } })
    typing.kept()
    begin(kept.body, kept.number)
  })
  if (good && !row) await router.replace(`/tanks/processes/${newId}`).then(() => page.load())
}
</script>

<template>
  <div class="station space-y-6">
    <PageState
      v-if="!body"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the process"
      back="Processes"
      back-to="/tanks/processes"
    />
    <template v-else>
      <div class="flex flex-wrap items-end gap-4">
        <h1 class="min-w-0 flex-1 text-3xl font-bold break-words">{{ body.name }}</h1>
        <button
          v-if="written"
          type="button"
          class="button"
          @click="download(`${body.name}.json`, writeProcessFile([body]), 'application/json')"
        >
          As a file
        </button>
        <RouterLink v-if="written" class="button" :to="`/tanks/processes/new?from=${written.id}`">Copy it</RouterLink>
        <RouterLink v-if="written" class="button" :to="`/tanks/plan?process=${written.id}`">Plan a run of it</RouterLink>
      </div>
      <ProcessRibbon
        :process="body"
        :draft="draft"
        :selected="selected"
        @select="(key) => (selected = key)"
        @move="(key, to) => drafting.act((now) => moveStep(now, key, to))"
      />
      <div class="flex flex-wrap items-center gap-3">
        <button type="button" class="button button-small" :disabled="!canUndo" @click="drafting.undo()">Undo</button>
        <button type="button" class="button button-small" @click="copying = true">Steps of another process …</button>
        <p class="text-quiet">Drag a step, or press Alt with an arrow key, to move it.</p>
      </div>
      <ProblemLine :problem="drafting.problem.value" />
      <DraftFindings
        v-if="draft"
        :findings="draft.findings"
        :process="body"
        @mend="(mended) => drafting.act(() => mended)"
        @see="(key) => (selected = key)"
      />
      <StepPanel v-if="step" :key="step.key" :drafting="drafting" :step="step" />
      <section class="grid grid-cols-2 gap-6 max-lg:grid-cols-1" aria-label="The process">
        <div class="space-y-4">
          <TextField :model-value="body.name" label="Name of the process" @update:model-value="(name) => set({ name })" />
          <ChoiceField :model-value="body.vessel ?? 'any'" label="For" :choices="vessels" @update:model-value="setVessel" />
          <TextField :model-value="body.note ?? ''" label="Note on the process" multiline @update:model-value="(note) => set({ note })" />
        </div>
        <div class="space-y-4">
          <OptionFields :process="body" :on="on" beginning @turn="(id, value) => drafting.act((now) => setOption(now, id, value))" />
        </div>
      </section>
      <p v-if="overtaken && written" class="border-l-4 border-alarm pl-4 font-semibold" role="status">
        {{ written.changedBy }} kept version {{ written.number }} while you were writing. Look at what changed below: yours comes after it,
        without what it changed.
      </p>
      <ProblemLine :problem="problem" />
      <button v-if="touched || isNew" type="button" class="button button-main min-h-14 px-8" :disabled="busy" @click="keep">
        {{ written ? `Keep as version ${written.number + 1}` : 'Keep it' }}
      </button>
      <VersionsPanel v-if="written" :versions="written.versions" :draft="body" />
      <CopyStepsPanel :drafting="drafting" :open="copying" @close="copying = false" />
    </template>
  </div>
</template>
