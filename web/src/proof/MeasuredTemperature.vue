<script setup lang="ts">
import { correctedTemperature, vouchesFor } from '@selvrin/core'
import { computed, onMounted } from 'vue'
import { useBench } from '../device/readings'
import TakeReading from '../device/TakeReading.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'
import { useInstruments } from '../stores'
import { thermometerId } from './thermometers'

/** A temperature as read, and with which thermometer: the model is the temperature it means, °C. */
const {
  label,
  hint = '',
  atProcess = null,
  probeToo = true,
} = defineProps<{
  label: string
  hint?: string
  atProcess?: number | null
  /** offer what the probe at the bench says */
  probeToo?: boolean
}>()
const model = defineModel<number | null>({ required: true })
const typed = defineModel<number | null>('typed', { default: null })
const show = useShow()
const instruments = useInstruments()
onMounted(() => void instruments.load())
const probe = useBench('thermometer')
const glasses = computed(() => instruments.rows.filter((one) => one.kind === 'thermometer' && one.deviceId === null))
const choices = computed(() => [
  { value: 'none', name: 'a thermometer without offsets' },
  ...glasses.value.map((one) => ({
    value: one.id,
    name: one.name,
    detail: one.points.length > 0 ? 'its offsets are known' : 'not compared yet',
  })),
])
const chosen = computed(() => glasses.value.find((one) => one.id === thermometerId.value))
const points = computed(() => chosen.value?.points ?? [])
// a temperature set from outside is shown as the reading it came from
const read = computed({
  get: () => typed.value ?? model.value,
  set: (value: number | null) => {
    typed.value = value
    model.value = value === null ? null : correctedTemperature(value, points.value)
  },
})
const meant = computed(() =>
  read.value === null || points.value.length === 0
    ? ''
    : `${show.temperature(read.value)} on it is ${show.temperature(correctedTemperature(read.value, points.value))}`,
)
const doubt = computed(() =>
  atProcess !== null && chosen.value && !vouchesFor(atProcess, points.value)
    ? `${chosen.value.name} was not compared near ${show.temperature(atProcess)}: it cannot vouch for ±${show.degrees(0.2)} there.`
    : '',
)
function pick(value: string | null): void {
  thermometerId.value = value ?? 'none'
  read.value = typed.value
}
function fromProbe(value: number): void {
  thermometerId.value = 'none'
  read.value = Math.round(value * 10) / 10
}
</script>

<template>
  <div>
    <div class="grid gap-4" :class="glasses.length > 0 ? 'grid-cols-2' : ''">
      <QuantityField v-model="read" kind="temperature" :label="label" :hint="meant || hint" />
      <ChoiceField v-if="glasses.length > 0" :model-value="thermometerId" label="Read with" :choices="choices" @update:model-value="pick" />
    </div>
    <TakeReading v-if="probeToo" v-slot="{ value, called }" :bench="probe" class="link min-h-11" @take="fromProbe">
      Take {{ show.temperature(Math.round(value * 10) / 10) }} from {{ called }}
    </TakeReading>
    <p v-if="doubt" class="text-quiet">{{ doubt }}</p>
  </div>
</template>
