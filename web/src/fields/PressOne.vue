<script setup lang="ts" generic="T extends string | number">
/** A few choices side by side, one of them pressed; `clearable` where pressing it again takes it back. */
const {
  choices,
  clearable,
  size = 'small',
} = defineProps<{
  choices: readonly { value: T; name: string }[]
  label: string
  clearable?: boolean
  size?: 'small' | 'usual' | 'large'
  busy?: boolean
}>()
const sizes = { small: 'button-small', usual: '', large: 'min-h-16 text-xl' }
const model = defineModel<T | null>({ required: true })
const press = (value: T) => (model.value = clearable && model.value === value ? null : value)
</script>

<template>
  <div role="group" :aria-label="label" class="flex flex-wrap" :class="{ small: 'gap-1', usual: 'gap-2', large: 'gap-3' }[size]">
    <button
      v-for="one in choices"
      :key="one.value"
      type="button"
      class="button"
      :class="[sizes[size], model === one.value ? 'button-main' : '']"
      :aria-pressed="model === one.value"
      :disabled="busy"
      @click="press(one.value)"
    >
      <slot :one="one">{{ one.name }}</slot>
    </button>
  </div>
</template>
