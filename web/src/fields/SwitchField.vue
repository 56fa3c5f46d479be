<script setup lang="ts">
import { useTyping } from '../hand/typed'
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'

defineProps<{ label: string; detail?: string }>()
const typed = useTyping()
const model = defineModel<boolean>({ required: true })
</script>

<template>
  <SwitchGroup as="div" class="flex min-h-11 items-center gap-3">
    <Switch
      :model-value="model"
      class="flex h-11 w-14 shrink-0 cursor-pointer items-center rounded-sm"
      @update:model-value="(value: boolean) => ((model = value), typed())"
    >
      <span class="relative h-8 w-14 rounded-full border-2 border-ink" :class="model ? 'bg-primary' : 'bg-panel'">
        <span
          class="absolute top-0.5 h-6 w-6 rounded-full border-2"
          :class="model ? 'right-0.5 border-on-primary bg-on-primary' : 'left-0.5 border-ink bg-ink'"
        />
      </span>
    </Switch>
    <SwitchLabel class="cursor-pointer">
      <span class="font-semibold">{{ label }}</span>
      <span v-if="detail" class="block text-quiet">{{ detail }}</span>
    </SwitchLabel>
  </SwitchGroup>
</template>
