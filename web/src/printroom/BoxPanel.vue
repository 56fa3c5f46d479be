<script setup lang="ts">
import { batchLabel, type BatchLabel } from '@selvrin/core'
import { traysApi, type Paper } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { reactive, ref } from 'vue'
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
const isColour = paper.material !== 'black-and-white'
const label = reactive({ y: '', m: '', factor: '' })
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
/** What the box says of its batch; null where nothing is typed, undefined where it is no label. */
function labelTyped(): BatchLabel | null | undefined {
  if (!isColour || (label.y === '' && label.m === '' && label.factor === '')) return null
  const read = batchLabel.safeParse({ y: readFigure(label.y), m: readFigure(label.m), factor: readFigure(label.factor) })
  return read.success ? read.data : undefined
}
async function bring(): Promise<void> {
  wrong.value = ''
  const sides = readSize(size.value)
  const [count, paid] = [readFigure(sheets.value), readFigure(price.value)]
  if (!sides) return void (wrong.value = 'The size is two numbers in cm, such as 24 × 30.5.')
  if (!count) return void (wrong.value = 'How many sheets are in it?')
  if (paid === undefined) return void (wrong.value = 'The price is a number, or nothing where nobody knows it.')
  const says = labelTyped()
  if (says === undefined) return void (wrong.value = 'The label says yellow, magenta and a factor, such as +5, −10 and 1.1; or nothing.')
  const body = { id, paperId: paper.id, ...sides, sheets: count, price: paid, batch: batch.value, label: says }
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
    <p v-if="isColour" class="mt-3">What the box says of its batch, where it says anything:</p>
    <div v-if="isColour" class="grid grid-cols-3 gap-3">
      <TextField v-model="label.y" label="Yellow" hint="such as +5" />
      <TextField v-model="label.m" label="Magenta" hint="such as −10" />
      <TextField v-model="label.factor" label="Factor" hint="of the time, such as 1.1" />
    </div>
  </FormPanel>
</template>
