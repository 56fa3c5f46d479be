<script setup lang="ts">
import { DomainError, showTime, type QuantityKind } from '@selvrin/core'
import { computed, onMounted, ref, useId, useTemplateRef, watch } from 'vue'
import { sentence } from '../api/call'
import { useShow } from '../session/useShow'
import { useTyping } from '../hand/typed'
import FieldFrame from './FieldFrame.vue'
import { useUnread } from './unread'

/**
 * An amount in any unit: what is typed stays, the model is g, ml, °C or s, null while it cannot be read. The unit a bare number is taken in stands in
 * the field, what was understood beside it. `near` is about what is expected, where the field begins empty.
 */
const {
  kind,
  label,
  near = null,
  begin,
} = defineProps<{
  kind: QuantityKind
  label: string
  hint?: string
  problem?: string
  large?: boolean
  near?: number | null
  /** takes the focus with its dialog, ready to be typed over */
  begin?: boolean
}>()
const model = defineModel<number | null>({ required: true })
const show = useShow()
const id = useId()
const shown = (value: number): string =>
  kind === 'mass'
    ? show.mass(value)
    : kind === 'volume'
      ? show.volume(value)
      : kind === 'temperature'
        ? show.temperature(value)
        : showTime(value)
const otherWay = (value: number): string => (kind === 'time' ? '' : show.otherUnits(value, kind))

const typed = ref(model.value === null ? '' : shown(model.value))
const wrong = ref('')
useUnread(wrong)
/** what stood in the field when it was last set: its unit is the one meant by a bare number */
const standing = ref(model.value ?? near)
const unit = computed(() => show.unit(kind, standing.value))
const understood = computed(() =>
  model.value === null || typed.value.trim() === ''
    ? ''
    : [typed.value.trim() === shown(model.value) ? '' : shown(model.value), otherWay(model.value)]
        .filter(Boolean)
        .map((amount) => `= ${amount}`)
        .join(' '),
)

const isBare = computed(() => /^[\d\s.,/½¼¾+−-]*$/.test(typed.value.trim()))
/** Litres and gallons by the dozen are more likely a slip of the unit than a mix: a bare number that large is asked about. */
function parsed(): number {
  const value = show.read(typed.value, kind, unit.value || undefined)
  const small = show.unit('volume', null)
  if (kind === 'volume' && isBare.value && unit.value !== small && value > 50 * (unit.value === 'L' ? 1000 : 3785))
    throw new DomainError(
      'unit-missing',
      `${typed.value.trim()} of what? Write ${typed.value.trim()} ${small} or ${typed.value.trim()} ${unit.value}.`,
    )
  return value
}
const typing = useTyping()
function read(): void {
  typing()
  wrong.value = ''
  if (typed.value.trim() === '') {
    model.value = null
    return
  }
  try {
    model.value = parsed()
  } catch (error) {
    model.value = null
    wrong.value = sentence(error)
  }
}
// set from outside: show it; what a person types is left as typed
watch(model, (value) => {
  if (value !== null && (typed.value === '' || parsedOrNull() !== value)) {
    standing.value = value
    typed.value = shown(value)
    wrong.value = ''
  }
  if (value === null && wrong.value === '' && parsedOrNull() !== null) typed.value = ''
})
watch(
  () => near,
  (value) => {
    if (typed.value === '') standing.value = value
  },
)
const input = useTemplateRef<HTMLInputElement>('input')
onMounted(() => {
  if (!begin) return
  // after the dialog has placed the focus itself
  setTimeout(() => {
    input.value?.focus()
    input.value?.select()
  })
})
function parsedOrNull(): number | null {
  try {
    return parsed()
  } catch {
    return null
  }
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :problem="wrong || problem || ''" :hint="[understood, hint].filter(Boolean).join(' · ')">
    <span class="relative block">
      <input
        :id="id"
        ref="input"
        v-model="typed"
        class="input font-mono"
        :class="[large ? 'min-h-20 text-5xl' : '', unit ? (large ? 'pr-24' : 'pr-14') : '']"
        autocomplete="off"
        inputmode="text"
        data-figure
        :aria-invalid="wrong || problem ? 'true' : undefined"
        :aria-describedby="`${unit && isBare ? `${id}-unit` : ''} ${wrong || problem ? `${id}-problem` : understood || hint ? `${id}-hint` : ''}`"
        @input="read"
      />
      <span
        v-if="unit && isBare"
        :id="`${id}-unit`"
        class="pointer-events-none absolute inset-y-0 right-3 flex items-center text-quiet"
        :class="large ? 'text-3xl' : ''"
        ><span class="sr-only">a number alone is in </span>{{ unit }}</span
      >
    </span>
  </FieldFrame>
</template>
