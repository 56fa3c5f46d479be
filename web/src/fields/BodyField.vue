<script setup lang="ts">
import { hearUnread } from './unread'
import type { FieldsOf } from './useContractForm'

/** A field of a form of the contract's: gives the component in it its value, takes what is typed, and says what is wrong with it. */
const { of, name, optional, items } = defineProps<{
  of: FieldsOf
  name: string
  /** left out where nothing stands in it */
  optional?: boolean
  /** a list: where nothing stands in it, it is empty */
  items?: boolean
}>()
hearUnread(of.unread)
interface Told {
  field: { handleChange: (value: unknown) => void }
  state: { value: unknown; meta: { errors: ({ message?: string } | undefined)[] } }
}
const taken = (value: unknown): unknown => (value === '' || value === null ? (items ? [] : optional ? undefined : value) : value)
const bind = ({ field, state }: Told) => ({
  modelValue: (optional ? (state.value ?? '') : state.value) as never,
  'onUpdate:modelValue': (value: unknown) => field.handleChange(taken(value)),
  problem: state.meta.errors.find((error) => error?.message)?.message ?? of.refused(name),
})
</script>

<template>
  <component :is="of.Field" :name="name">
    <template #default="told: Told"><slot :bind="bind(told)" /></template>
  </component>
</template>
