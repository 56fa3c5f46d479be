<script setup lang="ts" generic="T extends string">
import { Listbox, ListboxButton, ListboxLabel, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { computed } from 'vue'
import { useTyping } from '../hand/typed'
import { useShow } from '../session/useShow'

export interface Choice<V> {
  value: V
  name: string
  detail?: string
  disabled?: boolean
}
const { choices } = defineProps<{ label: string; choices: Choice<T>[]; problem?: string; placeholder?: string }>()
const show = useShow()
const typed = useTyping()
const model = defineModel<T | null>({ required: true })
const chosen = computed(() => choices.find((choice) => choice.value === model.value))
</script>

<template>
  <Listbox :model-value="model" as="div" class="relative" @update:model-value="(value: T) => ((model = value), typed())">
    <ListboxLabel class="mb-1 block font-semibold">{{ label }}</ListboxLabel>
    <ListboxButton
      class="input flex cursor-pointer items-center justify-between gap-3 py-1.5 text-left"
      :aria-invalid="problem ? 'true' : undefined"
    >
      <span class="min-w-0">
        <span class="block break-words" :class="chosen ? '' : 'text-quiet'">{{ chosen?.name ?? placeholder ?? 'Choose …' }}</span>
      </span>
      <svg class="shrink-0" width="14" height="10" viewBox="0 0 14 10" aria-hidden="true">
        <path d="M1 1l6 7 6-7" fill="none" stroke="currentColor" stroke-width="2" />
      </svg>
    </ListboxButton>
    <p v-if="problem" class="mt-1 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <p v-else-if="chosen?.detail" class="mt-1 text-quiet">{{ show.said(chosen.detail) }}</p>
    <ListboxOptions
      class="absolute z-30 mt-1 max-h-80 w-full min-w-64 overflow-auto rounded-sm border-2 border-ink bg-panel py-1 focus:outline-none"
    >
      <ListboxOption
        v-for="choice in choices"
        :key="choice.value"
        v-slot="{ active, selected }"
        :value="choice.value"
        :disabled="choice.disabled ?? false"
        as="template"
      >
        <li
          class="cursor-pointer px-3 py-2"
          :class="[active ? 'bg-primary text-on-primary' : '', choice.disabled ? 'text-quiet line-through' : '']"
        >
          <span :class="selected ? 'font-bold' : ''">{{ selected ? '✓ ' : '' }}{{ choice.name }}</span>
          <span v-if="choice.detail" class="block">{{ show.said(choice.detail) }}</span>
        </li>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
