<script setup lang="ts">
import type { FieldsOf } from './useContractForm'

/** A field of a form of the contract's: gives the component in it its value, takes what is typed, and says what is wrong with it. */
const { of, name } = defineProps<{ of: FieldsOf; name: string }>()
interface Told {
  field: { handleChange: (value: unknown) => void }
  state: { value: unknown; meta: { errors: ({ message?: string } | undefined)[] } }
}
const bind = ({ field, state }: Told) => ({
  modelValue: state.value as never,
  'onUpdate:modelValue': (value: unknown) => field.handleChange(value),
  problem: state.meta.errors.find((error) => error?.message)?.message ?? of.refused(name),
})
</script>

<template>
  <component :is="of.Field" :name="name">
    <template #default="told: Told"><slot :bind="bind(told)" /></template>
  </component>
</template>
