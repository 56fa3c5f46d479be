<script setup lang="ts">
import { lineApi, type Tray } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { readSize } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'

/** A tray of the house, by its inside. */
const { tray } = defineProps<{ tray: Tray | null }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const opened = tray
const name = ref(tray?.name ?? '')
const size = ref(tray ? `${show.plain(tray.widthCm)} × ${show.plain(tray.heightCm)}` : '')
const wrong = ref('')
const id = uuid()
const { busy, problem, current, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const sides = readSize(size.value)
  if (name.value.trim() === '') return void (wrong.value = 'Write a name.')
  if (!sides) return void (wrong.value = 'The inside is two numbers in cm, such as 30 × 40.')
  const body = { name: name.value, ...sides }
  const version = (current.value as Tray | null)?.version ?? opened?.version ?? 1
  const good = await act(() =>
    opened
      ? call(lineApi.changeTray, { params: { id: opened.id }, body: { version, ...body } })
      : call(lineApi.addTray, { body: { id, ...body } }),
  )
  if (good) emit('close')
}
</script>

<template>
  <FormPanel
    :title="opened ? `Change ${opened.name}` : 'A new tray'"
    yes="Keep it"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <TextField v-model="name" label="Name" hint="such as: white, 30 × 40" begin />
    <TextField v-model="size" label="Inside" hint="cm × cm, measured at the bottom" />
    <p class="text-quiet">One pair of tongs to a tray, and no tray above the elbow.</p>
  </FormPanel>
</template>
