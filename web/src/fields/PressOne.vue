<script setup lang="ts" generic="T extends string | number">
/** A few choices side by side, one of them pressed; `clearable` where pressing it again takes it back. */
const { choices, clearable } = defineProps<{
  choices: readonly { value: T; name: string }[]
  label: string
  clearable?: boolean
  large?: boolean
}>()
const model = defineModel<T | null>({ required: true })
const press = (value: T) => (model.value = clearable && model.value === value ? null : value)
</script>

<template>
  <div role="group" :aria-label="label" class="flex flex-wrap" :class="large ? 'gap-3' : 'gap-1'">
    <button
      v-for="one in choices"
      :key="one.value"
      type="button"
      class="button"
      :class="[large ? 'min-h-16 text-xl' : 'button-small', model === one.value ? 'button-main' : '']"
      :aria-pressed="model === one.value"
      @click="press(one.value)"
    >
      {{ one.name }}
    </button>
  </div>
</template>
