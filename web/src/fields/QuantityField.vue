<script setup lang="ts">
import { parseQuantity, showMass, showTemperature, showTime, showVolume, type QuantityKind, type Units } from '@selvrin/core'
import { computed, ref, useId, watch } from 'vue'
import { sentence } from '../api/call'
import { useSession } from '../session/store'
import FieldFrame from './FieldFrame.vue'

/** An amount in any unit: what is typed stays, the model is g, ml, °C or s, null while it cannot be read. The other system stands small beside it. */
const { kind, label, hint, problem, large } = defineProps<{
  kind: QuantityKind
  label: string
  hint?: string
  problem?: string
  large?: boolean
}>()
const model = defineModel<number | null>({ required: true })
const session = useSession()
const id = useId()
const show = (value: number, units: Units): string =>
  kind === 'mass'
    ? showMass(value, units)
    : kind === 'volume'
      ? showVolume(value, units)
      : kind === 'temperature'
        ? showTemperature(value, units)
        : showTime(value)

const typed = ref(model.value === null ? '' : show(model.value, session.units))
const wrong = ref('')
const other = computed(() =>
  kind === 'time' || model.value === null ? '' : `= ${show(model.value, session.units === 'metric' ? 'us' : 'metric')}`,
)

function read(): void {
  wrong.value = ''
  if (typed.value.trim() === '') {
    model.value = null
    return
  }
  try {
    model.value = parseQuantity(typed.value, kind)
  } catch (error) {
    model.value = null
    wrong.value = sentence(error)
  }
}
// set from outside: show it; what a person types is left as typed
watch(model, (value) => {
  if (value !== null && (typed.value === '' || parsedOrNull() !== value)) typed.value = show(value, session.units)
  if (value === null && wrong.value === '' && parsedOrNull() !== null) typed.value = ''
})
function parsedOrNull(): number | null {
  try {
    return parseQuantity(typed.value, kind)
  } catch {
    return null
  }
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :problem="wrong || problem || ''" :hint="[other, hint].filter(Boolean).join(' · ')">
    <input
      :id="id"
      v-model="typed"
      class="input font-mono"
      :class="large ? 'min-h-20 text-5xl' : ''"
      autocomplete="off"
      inputmode="text"
      :aria-invalid="wrong || problem ? 'true' : undefined"
      :aria-describedby="wrong || problem ? `${id}-problem` : other || hint ? `${id}-hint` : undefined"
      @input="read"
    />
  </FieldFrame>
</template>
