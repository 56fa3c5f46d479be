<script setup lang="ts">
import { parseRatio, showParts } from '@selvrin/core'
import { api, type ChartRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, reactive, ref, watch } from 'vue'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'

/** A new row of the chart, or one that is mended. */
const { row, developers } = defineProps<{ row: ChartRow | null; developers: { value: string; name: string }[] }>()
const emit = defineEmits<{ kept: []; leave: [] }>()
const { busy, problem, current, act } = useAction()
const id = ref(uuid())
const draftOf = (of: ChartRow | null) => ({
  film: of?.film ?? '',
  formulaId: of?.formulaId ?? null,
  parts: of ? (of.parts.length > 1 ? showParts(of.parts) : 'stock') : '1+1',
  ei: String(of?.ei ?? 400),
  temperatureC: (of?.temperatureC ?? 20) as number | null,
  seconds: of?.seconds ?? null,
  source: of?.source ?? '',
  note: of?.note ?? '',
})
const draft = reactive<ReturnType<typeof draftOf>>(draftOf(row))
const wrong = reactive({ parts: '', ei: '' })
watch(
  () => row?.id,
  () => Object.assign(draft, draftOf(row)),
)
const theirs = computed(() => current.value as ChartRow | null)

function readParts(): number[] {
  if (draft.parts.trim() === 'stock') return [1]
  try {
    const read = parseRatio(draft.parts)
    if (read.ambiguous) wrong.parts = 'Write 1+4 for one part plus four; 1:4 is read in two ways.'
    return read.parts
  } catch (error) {
    wrong.parts = sentence(error)
    return [1]
  }
}
async function keep(): Promise<void> {
  wrong.parts = wrong.ei = ''
  const parts = readParts()
  if (!/^[1-9]\d{0,4}$/.test(draft.ei.trim())) wrong.ei = 'Write the exposure index as a whole number.'
  if (wrong.parts || wrong.ei) return
  if (draft.formulaId === null || draft.temperatureC === null || draft.seconds === null) {
    problem.value = 'Choose the developer and write temperature and time.'
    return
  }
  const { film, formulaId, temperatureC, seconds, source, note } = draft
  const body = { film, formulaId, parts, ei: Number(draft.ei), temperatureC, seconds, source, note }
  const version = theirs.value?.version ?? row?.version ?? 1
  const good = await act(() =>
    row
      ? call(api.chart.change, { params: { id: row.id }, body: { ...body, version } })
      : call(api.chart.add, { body: { ...body, id: id.value } }),
  )
  if (!good) return
  id.value = uuid()
  if (!row) draft.seconds = null
  emit('kept')
}
</script>

<template>
  <form class="space-y-3" @submit.prevent="keep">
    <TextField v-model="draft.film" label="Film" />
    <ChoiceField v-model="draft.formulaId" label="Developer" :choices="developers" placeholder="Choose …" />
    <div class="grid grid-cols-2 gap-3">
      <TextField v-model="draft.parts" label="Dilution" hint="or stock" :problem="wrong.parts" />
      <TextField v-model="draft.ei" label="EI" :problem="wrong.ei" />
      <QuantityField v-model="draft.temperatureC" kind="temperature" label="At" />
      <QuantityField v-model="draft.seconds" kind="time" label="Time" hint="9:30" />
    </div>
    <TextField v-model="draft.source" label="Source" hint="who says so" />
    <TextField v-model="draft.note" label="Note" />
    <ProblemLine :problem="problem" />
    <div class="flex flex-wrap gap-3">
      <button class="button button-main flex-1" :disabled="busy">
        {{ row ? (theirs ? 'Keep mine over theirs' : 'Keep it') : 'Add it to the chart' }}
      </button>
      <button type="button" class="button" @click="$emit('leave')">Not now</button>
    </div>
  </form>
</template>
