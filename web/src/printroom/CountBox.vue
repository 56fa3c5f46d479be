<script setup lang="ts">
import { traysApi, type BoxOfPaper } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { readFigure } from '../fields/figure'

/** What is in a box, counted. */
const { box } = defineProps<{ box: BoxOfPaper }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const left = ref('')
const note = ref('')
const wrong = ref('')
const entryId = uuid()
const { busy, problem, current, act } = useAction()
async function count(): Promise<void> {
  wrong.value = ''
  const counted = readFigure(left.value)
  if (counted == null || counted < 0) return void (wrong.value = 'How many sheets are in it?')
  const version = (current.value as BoxOfPaper | null)?.version ?? box.version
  const body = { entryId, version, left: counted, note: note.value }
  if (await act(() => call(traysApi.countBox, { params: { id: box.id }, body }))) emit('close')
}
</script>

<template>
  <FormPanel title="Count a box" yes="Write it down" :busy="busy" :problem="wrong || problem" @close="emit('close')" @submit="count">
    <p class="text-lg">By its lines {{ show.plain(Number(box.left.toFixed(2))) }} sheets are left. Count under safelight.</p>
    <TextField v-model="left" label="Sheets in it" begin />
    <TextField v-model="note" label="Note, if any" />
  </FormPanel>
</template>
