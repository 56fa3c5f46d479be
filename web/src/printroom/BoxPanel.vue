<script setup lang="ts">
import { traysApi, type Paper } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { readFigure, readSize } from '../fields/figure'

/** A box of paper comes in. */
const { paper } = defineProps<{ paper: Paper }>()
const emit = defineEmits<{ close: [] }>()
const size = ref('')
const sheets = ref('')
const price = ref('')
const batch = ref('')
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
async function bring(): Promise<void> {
  wrong.value = ''
  const sides = readSize(size.value)
  const [count, paid] = [readFigure(sheets.value), readFigure(price.value)]
  if (!sides) return void (wrong.value = 'The size is two numbers in cm, such as 24 × 30.5.')
  if (!count) return void (wrong.value = 'How many sheets are in it?')
  if (paid === undefined) return void (wrong.value = 'The price is a number, or nothing where nobody knows it.')
  const body = { id, paperId: paper.id, ...sides, sheets: count, price: paid, batch: batch.value }
  if (await act(() => call(traysApi.addBox, { body }))) emit('close')
}
</script>

<template>
  <FormPanel
    :title="`A box of ${paper.name}`"
    yes="It came in"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="bring"
  >
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="size" label="Size" hint="cm, such as 24 × 30.5" begin />
      <TextField v-model="sheets" label="Sheets" />
      <TextField v-model="price" label="Price" hint="of the box; empty where nobody knows" />
      <TextField v-model="batch" label="Batch" hint="as printed on the box" />
    </div>
  </FormPanel>
</template>
