<script setup lang="ts" generic="T">
import { ref, watch } from 'vue'
import { sentence } from '../api/call'
import TextField from './TextField.vue'
import { useUnread } from './unread'

/** Something that is typed as text and read as something else: `read` says what it is or throws the sentence against it. What is typed stays. */
const { read, write } = defineProps<{
  label: string
  hint?: string
  problem?: string
  /** null: nothing can be taken yet, and nobody is wrong */
  read: (text: string) => T | null
  /** as it would be typed */
  write: (value: T) => string
}>()
const model = defineModel<T | null>({ required: true })
const isThere = (value: T | '' | null | undefined): value is T => value !== null && value !== undefined && value !== ''
const asTyped = (value: T | '' | null | undefined): string => (isThere(value) ? write(value) : '')
const typed = ref(asTyped(model.value))
const wrong = ref('')
useUnread(wrong)
/** what was last read of what is typed: anything else was set from outside */
let told: T | null = model.value
function take(text: string): void {
  wrong.value = ''
  try {
    told = text.trim() === '' ? null : read(text)
  } catch (error) {
    told = null
    wrong.value = sentence(error)
  }
  model.value = told
}
watch(model, (value) => {
  // the very same in another object is nothing new
  if (asTyped(value) === asTyped(told)) return
  told = value
  wrong.value = ''
  typed.value = asTyped(value)
})
</script>

<template>
  <TextField v-model="typed" :label="label" :hint="hint" :problem="wrong || problem || ''" @update:model-value="take" />
</template>
