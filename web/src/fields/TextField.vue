<script setup lang="ts">
import { onMounted, useId, useTemplateRef } from 'vue'
import { useTyping } from '../hand/typed'
import FieldFrame from './FieldFrame.vue'

const { begin } = defineProps<{
  label: string
  hint?: string
  problem?: string
  type?: string
  autocomplete?: string
  multiline?: boolean
  /** takes the focus when it appears */ begin?: boolean
}>()
const model = defineModel<string>({ required: true })
const id = useId()
const typed = useTyping()
const input = useTemplateRef<HTMLInputElement>('input')
onMounted(() => begin && input.value?.focus())
</script>

<template>
  <FieldFrame :id="id" :label="label" :hint="hint" :problem="problem">
    <textarea
      v-if="multiline"
      :id="id"
      v-model="model"
      rows="3"
      class="input py-2"
      :aria-invalid="problem ? 'true' : undefined"
      :aria-describedby="problem ? `${id}-problem` : undefined"
      @input="typed"
    />
    <input
      v-else
      :id="id"
      ref="input"
      v-model="model"
      class="input"
      :type="type ?? 'text'"
      :autocomplete="autocomplete ?? 'off'"
      :aria-invalid="problem ? 'true' : undefined"
      :aria-describedby="problem ? `${id}-problem` : hint ? `${id}-hint` : undefined"
      @input="typed"
    />
  </FieldFrame>
</template>
