<script setup lang="ts">
import { changeStep, pourFrom, removeStep, scaleTime, timeWords, type ProcessStep } from '@selvrin/core'
import { computed, ref, watch } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import {
  familyChoices,
  fateChoices,
  fateFrom,
  fateValue,
  kindChoices,
  lightChoices,
  lightFrom,
  lightValue,
  liquidChoices,
  liquidFrom,
  liquidValue,
  schemeChoices,
  schemeFrom,
  schemeValue,
  timeChoices,
  timeFrom,
  timeValue,
} from './stepChoices'
import type { Drafting } from './useProcessDraft'

/** One step as it is written: what, how long, how warm, in which light, and where the liquid goes. */
const { drafting, step } = defineProps<{ drafting: Drafting; step: ProcessStep }>()
const set = (part: Partial<Omit<ProcessStep, 'key'>>) => drafting.act((now) => changeStep(now, step.key, part))
const process = computed(() => drafting.body.value)
const nameOf = (key: string) => process.value?.steps.find((one) => one.key === key)?.name ?? key
const times = computed(() =>
  timeValue(step.time) === 'kept' ? [...timeChoices, { value: 'kept', name: timeWords(step.time, nameOf) }] : timeChoices,
)
const seconds = computed(() =>
  typeof step.time === 'object' && 's' in step.time
    ? step.time.s
    : typeof step.time === 'object' && 'inspect' in step.time
      ? (step.time.atMostS ?? null)
      : null,
)
function setSeconds(s: number | null): void {
  if (s === null || s === seconds.value || typeof step.time !== 'object') return
  set({ time: 'inspect' in step.time ? { inspect: true, atMostS: s } : 'clearing' in step.time ? { ...step.time, s } : { s } })
}
const scales = [
  { name: 'Half', by: 0.5 },
  { name: 'Half as long again', by: 1.5 },
  { name: 'Twice as long', by: 2 },
]
/** a bath the process does not have yet */
const adding = ref(false)
const bath = ref({ name: '', family: 'fixer' as (typeof familyChoices)[number]['value'] | null })
watch(
  () => step.key,
  () => (adding.value = false),
)
function pour(value: string | null): void {
  if (value === null) return
  if (value === 'new') adding.value = true
  else set({ liquid: liquidFrom(value) })
}
function pourNew(): void {
  const { name, family } = bath.value
  if (family && name.trim() !== '' && drafting.act((now) => pourFrom(now, step.key, { name: name.trim(), family }))) adding.value = false
}
const family = computed(() => {
  const { liquid } = step
  return typeof liquid === 'object' && 'role' in liquid
    ? (process.value?.roles.find((one) => one.id === liquid.role)?.family ?? 'other')
    : 'other'
})
function setRange(end: 'min' | 'max', c: number | null): void {
  if (c === null) return
  const range = step.c ?? { min: c, max: c }
  set({ c: { ...range, [end]: c } })
}
const whole = (text: string, most: number): number | undefined => {
  const n = Number(text)
  return Number.isInteger(n) && n >= 1 && n <= most ? n : undefined
}
</script>

<template>
  <section class="card space-y-4" :aria-label="`Step ${step.name}`">
    <div class="grid grid-cols-3 gap-4 max-lg:grid-cols-1">
      <TextField :model-value="step.name" label="Name" @update:model-value="(name) => name.trim() !== '' && set({ name })" />
      <ChoiceField
        :model-value="step.kind"
        label="What it does"
        :choices="kindChoices"
        @update:model-value="(kind) => kind && set({ kind })"
      />
      <ChoiceField
        v-if="process"
        :model-value="adding ? 'new' : liquidValue(step)"
        label="Out of"
        :choices="liquidChoices(process, step)"
        @update:model-value="pour"
      />
    </div>
    <div v-if="adding" class="grid grid-cols-[1fr_1fr_auto] items-end gap-4 max-lg:grid-cols-1">
      <TextField v-model="bath.name" label="Its name in this process" />
      <ChoiceField v-model="bath.family" label="Which bottles may be it" :choices="familyChoices" />
      <button type="button" class="button" @click="pourNew">Take it</button>
    </div>
    <div class="grid grid-cols-3 gap-4 max-lg:grid-cols-1">
      <ChoiceField
        :model-value="timeValue(step.time)"
        label="How long"
        :choices="times"
        @update:model-value="(value) => value && set({ time: timeFrom(value, step.time) })"
      />
      <QuantityField
        v-if="seconds !== null"
        :key="`${step.key} ${timeValue(step.time)}`"
        :model-value="seconds"
        kind="time"
        :label="timeValue(step.time) === 'clearing' ? 'Where nobody tested' : timeValue(step.time) === 'inspect' ? 'At most' : 'Time'"
        @update:model-value="setSeconds"
      />
      <div class="flex flex-wrap items-end gap-2">
        <button
          v-for="one in scales"
          :key="one.by"
          type="button"
          class="button button-small"
          @click="drafting.act((now) => scaleTime(now, step.key, one.by))"
        >
          {{ one.name }}
        </button>
      </div>
    </div>
    <div class="grid grid-cols-3 gap-4 max-lg:grid-cols-1">
      <QuantityField
        :key="`${step.key} at`"
        :model-value="step.atC ?? null"
        kind="temperature"
        label="Temperature"
        hint="empty: as the developer"
        @update:model-value="(atC) => set({ atC: atC ?? undefined })"
      />
      <QuantityField
        :key="`${step.key} min`"
        :model-value="step.c?.min ?? null"
        kind="temperature"
        label="Works from"
        hint="empty: by the developer"
        @update:model-value="(c) => setRange('min', c)"
      />
      <QuantityField
        :key="`${step.key} max`"
        :model-value="step.c?.max ?? null"
        kind="temperature"
        label="to"
        @update:model-value="(c) => setRange('max', c)"
      />
    </div>
    <div class="grid grid-cols-3 gap-4 max-lg:grid-cols-1">
      <ChoiceField
        :model-value="schemeValue(step.agitation)"
        label="Agitation"
        :choices="schemeChoices(step.agitation)"
        @update:model-value="(value) => value && set({ agitation: schemeFrom(value, step.agitation) })"
      />
      <ChoiceField
        :model-value="lightValue(step.light)"
        label="Light"
        :choices="lightChoices"
        @update:model-value="(value) => value && set({ light: lightFrom(value) })"
      />
      <ChoiceField
        :model-value="fateValue(step.fate)"
        label="The liquid afterwards"
        :choices="fateChoices"
        @update:model-value="(value) => value && set({ fate: fateFrom(value, step, family) })"
      />
    </div>
    <div class="grid grid-cols-3 gap-4 max-lg:grid-cols-1">
      <TextField
        v-if="step.kind === 'wash'"
        :model-value="String(step.changes ?? '')"
        label="Changes of water"
        @update:model-value="(text) => set({ changes: whole(text, 20) })"
      />
      <TextField
        v-if="step.kind === 're-expose'"
        :model-value="String(step.sides ?? '')"
        label="Sides, one after another"
        @update:model-value="(text) => set({ sides: whole(text, 2) })"
      />
      <TextField
        :model-value="step.note ?? ''"
        label="Note"
        class="col-span-2"
        @update:model-value="(note) => set({ note: note.trim() === '' ? undefined : note })"
      />
    </div>
    <div class="flex flex-wrap gap-3">
      <button type="button" class="button button-small" @click="drafting.act((now) => removeStep(now, step.key))">
        Take {{ step.name }} out
      </button>
    </div>
  </section>
</template>
