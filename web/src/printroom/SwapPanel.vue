<script setup lang="ts">
import { matchedFactor, matchedWithin, type Swap } from '@selvrin/core'
import { traysApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import { readFigure } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import { useShow } from '../session/useShow'
import type { RoomView } from './useRoom'
import { percentWords, stopWords } from './words'

/** Another developer, box or lamp: one strip of before, one of after, matched for a light tone and a dark one; every noted time takes the factor from now on. */
const { room } = defineProps<{ room: RoomView }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const all = 'all'
const of = ref<Swap | null>('developer')
const enlargerId = ref<string | null>(all)
const paperId = ref<string | null>(all)
const step = ref<number | null>(1 / 6)
const [lightBefore, lightAfter, darkBefore, darkAfter] = [ref(''), ref(''), ref(''), ref('')]
const note = ref('')
const wrong = ref('')
const papers = computed(() => [
  { value: all, name: 'all papers' },
  ...(room.there.value?.papers ?? []).map(({ id, name }) => ({ value: id, name })),
])
const enlargers = computed(() => [{ value: all, name: 'all enlargers' }, ...room.enlargerChoices.value])
const strips = computed(() => {
  const [beforeL, afterL, beforeD, afterD] = [lightBefore, lightAfter, darkBefore, darkAfter].map((one) => readFigure(one.value))
  if (!beforeL || !afterL || !beforeD || !afterD) return null
  return { light: { beforeS: beforeL, afterS: afterL }, dark: { beforeS: beforeD, afterS: afterD } }
})
const says = computed(() => {
  if (!strips.value) return null
  try {
    return { ...matchedFactor(strips.value), problem: '' }
  } catch (error) {
    return { factor: 1, stops: 0, findings: [], problem: sentence(error) }
  }
})
const id = uuid()
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  if (!strips.value) return void (wrong.value = 'Four times in seconds: the light tone before and after, the dark one before and after.')
  if (of.value === 'lamp' && enlargerId.value === all) return void (wrong.value = 'Of which enlarger is the lamp?')
  if (of.value === 'box' && paperId.value === all) return void (wrong.value = 'Of which paper is the box?')
  const one = (value: string | null): string | null => (value === all ? null : value)
  const body = {
    ...{ kind: 'swap' as const, of: of.value ?? 'developer', enlargerId: one(enlargerId.value), paperId: one(paperId.value) },
    ...{ stepStops: step.value ?? 1 / 6, ...strips.value, note: note.value },
  }
  if (await act(() => call(traysApi.calibrate, { body: { id, body } }))) emit('close')
}
</script>

<template>
  <FormPanel
    title="Match two strips"
    yes="It holds from now on"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <PressOne
      v-model="of"
      label="What is new"
      :choices="[
        { value: 'developer', name: 'another developer' },
        { value: 'box', name: 'another box of paper' },
        { value: 'lamp', name: 'another lamp' },
      ]"
    />
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <ChoiceField v-model="paperId" label="For" :choices="papers" />
      <ChoiceField v-model="enlargerId" label="At" :choices="enlargers" />
    </div>
    <p>
      The same negative, the same strip, once with the old and once with the new. Find one light tone that looks alike on both, both wet or
      both dry, and one dark tone.
    </p>
    <PressOne
      v-model="step"
      label="The strips step by"
      :choices="[
        { value: 1 / 6, name: `⅙ stop, ±${show.number(matchedWithin(1 / 6), 0)} %` },
        { value: 1 / 12, name: `¹⁄₁₂ stop, ±${show.number(matchedWithin(1 / 12), 0)} %` },
      ]"
    />
    <div class="grid grid-cols-2 gap-3">
      <TextField v-model="lightBefore" label="Light tone, old" hint="s" />
      <TextField v-model="lightAfter" label="Light tone, new" hint="s" />
      <TextField v-model="darkBefore" label="Dark tone, old" hint="s" />
      <TextField v-model="darkAfter" label="Dark tone, new" hint="s" />
    </div>
    <template v-if="says">
      <p class="text-xl" role="status">
        <template v-if="says.problem">{{ says.problem }}</template>
        <template v-else
          >Every noted time ×<b class="font-mono">{{ show.number(says.factor, 2) }}</b
          >, {{ stopWords(says.stops) }}, {{ percentWords(says.stops) }}</template
        >
      </p>
      <FindingList :findings="says.findings" />
    </template>
    <TextField v-model="note" label="Note, if any" hint="dilution, batch" />
  </FormPanel>
</template>
