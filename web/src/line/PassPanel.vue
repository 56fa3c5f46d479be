<script setup lang="ts">
import { lineApi, type TrayLine } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { readFigure, readSize } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import type { LineView } from './useLine'

/** Prints that went through the trays without a sheet of their own. */
const { line, view } = defineProps<{ line: TrayLine; view: LineView }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const count = ref('1')
const size = ref(`${show.plain(line.widthCm)} × ${show.plain(line.heightCm)}`)
const base = ref<'rc' | 'fibre' | null>(line.base)
const what = ref('')
const wrong = ref('')
const passId = uuid()
const { busy, problem, act } = useAction()
async function pass(): Promise<void> {
  wrong.value = ''
  const sides = readSize(size.value)
  const prints = readFigure(count.value)
  if (!prints || prints <= 0) return void (wrong.value = 'How many prints?')
  if (!sides) return void (wrong.value = 'The size is two numbers in cm, such as 24 × 30.5.')
  const body = { passId, base: base.value ?? line.base, ...sides, count: prints, what: what.value }
  const good = await act(async () => view.told(await call(lineApi.pass, { params: { id: line.id }, body })))
  if (good) emit('close')
}
</script>

<template>
  <FormPanel title="Prints went through" yes="Write it down" :busy="busy" :problem="wrong || problem" @close="emit('close')" @submit="pass">
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="count" label="Prints" begin />
      <TextField v-model="size" label="Size" hint="cm × cm" />
    </div>
    <PressOne
      v-model="base"
      label="Paper"
      :choices="[
        { value: 'rc', name: 'Resin-coated' },
        { value: 'fibre', name: 'Fibre' },
      ]"
    />
    <TextField v-model="what" label="What, if you like" />
    <p class="text-quiet">Prints with a sheet of their own are counted when they are exposed.</p>
  </FormPanel>
</template>
