<script setup lang="ts">
import { grades, usualDryDown, type Grade, type PaperBody } from '@selvrin/core'
import { traysApi, type Paper } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { readFigure } from '../fields/figure'
import { gradeName } from './words'

/** A paper of the house. */
const { paper } = defineProps<{ paper: Paper | null }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const name = ref(paper?.name ?? '')
const material = ref<PaperBody['material'] | null>(paper?.material ?? 'black-and-white')
const isColour = computed(() => material.value !== 'black-and-white')
const base = ref<'rc' | 'fibre' | null>(paper?.base ?? 'rc')
const variable = 'variable'
const grade = ref<string | null>(paper?.grade ?? variable)
const speed = ref(paper?.speed == null ? '' : show.plain(paper.speed))
const dryDown = ref(show.plain(100 * (paper?.dryDown ?? usualDryDown.rc.usual)))
const holdsDeveloper = ref(paper?.holdsDeveloper ?? false)
// colour prints are judged dry
watch(isColour, (now) => {
  if (now && paper === null) dryDown.value = '0'
})
// what is usual for the other base, where nobody has written anything of this paper
watch(base, (now) => {
  if (paper === null && now) dryDown.value = show.plain(100 * usualDryDown[now].usual)
})
const wrong = ref('')
const id = paper?.id ?? uuid()
const { busy, problem, current, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const [measured, percent] = [readFigure(speed.value), readFigure(dryDown.value)]
  if (measured === undefined) return void (wrong.value = 'The speed is a number such as 250, or nothing where nobody measured it.')
  if (percent == null) return void (wrong.value = 'Write how many percent it darkens in drying, such as 2.')
  const body = {
    ...{ name: name.value, material: material.value ?? 'black-and-white', base: base.value ?? 'rc' },
    holdsDeveloper: holdsDeveloper.value && !isColour.value,
    ...{ grade: isColour.value || grade.value === variable ? null : (grade.value as Grade), speed: measured, dryDown: percent / 100 },
  }
  const version = (current.value as Paper | null)?.version ?? paper?.version
  const kept = await act(() =>
    version === undefined
      ? call(traysApi.addPaper, { body: { id, ...body } })
      : call(traysApi.changePaper, { params: { id }, body: { version, ...body } }),
  )
  if (kept) emit('close')
}
</script>

<template>
  <FormPanel
    :title="paper ? `Change ${paper.name}` : 'A new paper'"
    yes="Keep it"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <TextField v-model="name" label="Name" begin />
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <ChoiceField
        v-model="material"
        label="Prints"
        :choices="[
          { value: 'black-and-white', name: 'black and white' },
          { value: 'negative', name: 'colours, from negatives' },
          { value: 'reversal', name: 'colours, from slides' },
        ]"
      />
      <ChoiceField
        v-model="base"
        label="Base"
        :choices="[
          { value: 'rc', name: 'resin-coated' },
          { value: 'fibre', name: 'fibre' },
        ]"
      />
      <ChoiceField
        v-if="!isColour"
        v-model="grade"
        label="Grade"
        :choices="[{ value: variable, name: 'variable' }, ...grades.map((one) => ({ value: one, name: gradeName(one) }))]"
      />
      <TextField v-model="speed" label="Speed number" hint="from its wedge; empty where nobody measured it" />
      <TextField v-model="dryDown" label="Darkens in drying" hint="% of the exposure; measured beside wet prints" />
    </div>
    <SwitchField
      v-if="!isColour"
      v-model="holdsDeveloper"
      label="Holds its own developing agent"
      detail="it comes up at once, and says nothing of how fresh the tray is"
    />
  </FormPanel>
</template>
