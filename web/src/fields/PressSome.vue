<script setup lang="ts" generic="T extends string">
/** Choices side by side of which any number is pressed. */
const { choices } = defineProps<{ choices: readonly { value: T; name: string }[]; label: string }>()
const model = defineModel<T[]>({ required: true })
const press = (value: T) =>
  (model.value = model.value.includes(value) ? model.value.filter((one) => one !== value) : [...model.value, value])
</script>

<template>
  <div role="group" :aria-label="label" class="flex flex-wrap gap-1">
    <button
      v-for="one in choices"
      :key="one.value"
      type="button"
      class="button button-small"
      :class="model.includes(one.value) ? 'button-main' : ''"
      :aria-pressed="model.includes(one.value)"
      @click="press(one.value)"
    >
      {{ one.name }}
    </button>
  </div>
</template>
