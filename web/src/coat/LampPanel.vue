<script setup lang="ts">
import { uvKindNames, uvKinds, uvLampBody, type UvKind } from '@selvrin/core'
import { coatApi, type UvLamp } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import { readFigure } from '../fields/figure'
import { useShow } from '../session/useShow'

/** A UV lamp of the house. */
const { lamp } = defineProps<{ lamp: UvLamp | null }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const written = (value: number | null | undefined): string => (value == null ? '' : show.plain(value))
const name = ref(lamp?.body.name ?? '')
const kind = ref<UvKind | null>(lamp?.body.kind ?? 'tubes')
const watts = ref(written(lamp?.body.watts))
const bankCm = ref(written(lamp?.body.bankCm))
const hours = ref(written(lamp ? Math.round(10 * lamp.body.hours) / 10 : 0))
const measured = ref(written(lamp?.body.measured == null ? null : Math.round(100 * lamp.body.measured)))
const note = ref(lamp?.body.note ?? '')
const wrong = ref('')
const id = lamp?.id ?? uuid()
const { busy, problem, current, act } = useAction()
const version = () => (current.value as UvLamp | null)?.version ?? lamp?.version
async function keep(): Promise<void> {
  wrong.value = ''
  const [w, bank, h, percent] = [watts, bankCm, hours, measured].map((one) => readFigure(one.value))
  if (percent === undefined) return void (wrong.value = 'What the UV meter says is a number of percent, or nothing.')
  const read = uvLampBody.safeParse({
    ...{ name: name.value, kind: kind.value, watts: w ?? NaN, hours: h ?? NaN, note: note.value },
    ...{ bankCm: kind.value === 'point' ? null : (bank ?? null), measured: percent === null ? null : percent / 100 },
  })
  if (!read.success) return void (wrong.value = read.error.issues[0]?.message ?? '')
  const body = read.data
  const seen = version()
  const kept = await act(() =>
    seen === undefined
      ? call(coatApi.addLamp, { body: { id, body } })
      : call(coatApi.changeLamp, { params: { id }, body: { version: seen, body } }),
  )
  if (kept) emit('close')
}
async function remove(): Promise<void> {
  const seen = version()
  if (seen !== undefined && (await act(() => call(coatApi.removeLamp, { params: { id }, body: { version: seen } })))) emit('close')
}
</script>

<template>
  <FormPanel
    :title="lamp ? `Change ${lamp.body.name}` : 'A new UV lamp'"
    yes="Keep it"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <TextField v-model="name" label="Name" begin />
    <PressOne v-model="kind" label="What it is" :choices="uvKinds.map((value) => ({ value, name: uvKindNames[value] }))" />
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="watts" label="Power" hint="W, all its tubes together" />
      <TextField v-if="kind !== 'point'" v-model="bankCm" label="Width" hint="cm; nearer than that, the distance changes nothing" />
      <TextField v-model="hours" label="Hours it has run" hint="counted on from here" />
      <TextField v-model="measured" label="UV meter" hint="% of what it gave when new; empty where nobody measured it" />
    </div>
    <TextField v-model="note" label="Note, if any" />
    <template v-if="lamp" #apart>
      <button type="button" class="button ml-auto" :disabled="busy" @click="remove">It is gone</button>
    </template>
  </FormPanel>
</template>
