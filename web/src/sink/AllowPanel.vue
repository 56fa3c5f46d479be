<script setup lang="ts">
import { drumNames, type Drum } from '@selvrin/core'
import { sinkApi, type DischargeRow } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { readFigure } from '../fields/figure'

/** What a paper allows of one family. */
const { family, rule } = defineProps<{ family: Drum; rule: DischargeRow | null }>()
const emit = defineEmits<{ close: [] }>()
const ml = ref<number | null>(rule?.mlADay ?? null)
const dilution = ref(String(rule?.dilution ?? 10))
const minutes = ref(String(rule?.minutes ?? 5))
const paper = ref(rule?.paper ?? '')
const ends = ref(rule?.ends ?? '')
const wrong = ref('')
const { busy, problem, current, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const [parts, running] = [dilution, minutes].map((one) => readFigure(one.value))
  if (!ml.value || parts == null || running == null) return void (wrong.value = 'How much, parts of water and minutes are numbers.')
  const version = (current.value as DischargeRow | null)?.version ?? rule?.version ?? null
  const body = { version, family, mlADay: ml.value, dilution: parts, minutes: running, paper: paper.value, ends: ends.value.trim() }
  if (await act(() => call(sinkApi.allow, { body }))) emit('close')
}
</script>

<template>
  <FormPanel
    :title="`A paper on ${drumNames[family]}`"
    yes="Keep it so"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <TextField v-model="paper" label="What allows it" hint="such as: letter of the water authority, number 17" begin />
    <TextField v-model="ends" label="Its last day" hint="2027-03-31" />
    <div class="grid grid-cols-3 gap-3">
      <QuantityField v-model="ml" kind="volume" label="A day" />
      <TextField v-model="dilution" label="Water" hint="parts to one" />
      <TextField v-model="minutes" label="Running" hint="minutes behind it" />
    </div>
    <p class="text-quiet">Write down what it says, no more. The local authority decides.</p>
  </FormPanel>
</template>
