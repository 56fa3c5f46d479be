<script setup lang="ts">
import type { CheckResult } from '@selvrin/core'
import { checkApi, type Fixture } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { readFigure } from '../fields/figure'
import { askWords, howWords } from './checkWords'

/** A thing was looked at: what was found, as it was measured. */
const { fixture, kind } = defineProps<{ fixture: Fixture; kind: CheckResult['kind'] }>()
const emit = defineEmits<{ close: []; done: [] }>()
const [litres, celsius, speed, day, note] = [ref<number | null>(null), ref<number | null>(null), ref(''), ref(''), ref('')]
const seconds = ref<number | null>(180)
const yes = ref<string | null>(null)
const sizes = fixture.body.kind === 'gloves' ? fixture.body.sizes.map((one) => one.size) : []
const pairs = ref<Record<string, string>>(Object.fromEntries(sizes.map((one) => [one, ''])))
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
/** @throws Error with a sentence */
function result(): CheckResult {
  const said = { note: note.value }
  if (kind === 'flush') {
    if (!seconds.value) throw new Error('Say how long it ran.')
    return { kind, seconds: seconds.value, lPerMin: litres.value === null ? null : litres.value / 500, celsius: celsius.value, ...said }
  }
  if (kind === 'meter') {
    const mPerS = readFigure(speed.value)
    if (mPerS === null || mPerS === undefined) throw new Error('Say what the meter shows, in m/s.')
    return { kind, mPerS, ...said }
  }
  if (kind === 'date') {
    const at = Date.parse(`${day.value.trim()}T23:59:59`)
    if (!/^\d{4}-\d{2}-\d{2}$/.test(day.value.trim()) || Number.isNaN(at))
      throw new Error('Write the date as year-month-day, such as 2027-04-30.')
    return { kind, useBy: at, ...said }
  }
  if (kind === 'count') {
    const read = sizes.map((size) => ({ size, pairs: readFigure(pairs.value[size] ?? '') ?? Number.NaN }))
    const missing = read.find((one) => !Number.isFinite(one.pairs) || one.pairs < 0)
    if (missing) throw new Error(`Count the pairs in ${missing.size}; 0 where there are none.`)
    return { kind, pairs: read, ...said }
  }
  if (yes.value === null) throw new Error('Say what you found.')
  return kind === 'tissue' ? { kind, draws: yes.value === 'yes', ...said } : { kind: 'trip', trips: yes.value === 'yes', ...said }
}
async function keep(): Promise<void> {
  wrong.value = ''
  let found: CheckResult
  try {
    found = result()
  } catch (error) {
    wrong.value = (error as Error).message
    return
  }
  if (await act(() => call(checkApi.check, { params: { id: fixture.id }, body: { id, result: found } }))) emit('done')
}
</script>

<template>
  <FormPanel
    :title="`${fixture.body.name}: ${askWords[kind].toLowerCase()}`"
    yes="So I found it"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <p>{{ howWords[kind] }}</p>
    <template v-if="kind === 'flush'">
      <QuantityField v-model="seconds" kind="time" label="It ran" />
      <QuantityField v-model="litres" kind="volume" label="In the jug after half a minute" hint="empty where nobody measured" />
      <QuantityField v-model="celsius" kind="temperature" label="Its water" hint="empty where nobody measured" />
    </template>
    <TextField v-else-if="kind === 'date'" v-model="day" label="Use by" hint="year-month-day, such as 2027-04-30" />
    <TextField v-else-if="kind === 'meter'" v-model="speed" label="The meter shows" hint="m/s" />
    <template v-else-if="kind === 'count'">
      <TextField v-for="size in sizes" :key="size" v-model="pairs[size] as string" :label="`Pairs in ${size}`" />
    </template>
    <PressOne
      v-else
      v-model="yes"
      label="What you found"
      size="large"
      :choices="
        kind === 'tissue'
          ? [
              { value: 'yes', name: 'It holds the tissue' },
              { value: 'no', name: 'The tissue falls' },
            ]
          : [
              { value: 'yes', name: 'It cut the current' },
              { value: 'no', name: 'It did not' },
            ]
      "
    />
    <TextField v-model="note" label="What is to be said of it" />
  </FormPanel>
</template>
