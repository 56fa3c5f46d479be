<script setup lang="ts">
import { optionGroups, type ProcessBody } from '@selvrin/core'
import { computed } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import SwitchField from '../fields/SwitchField.vue'

/** What schools do differently in a process: of each group one, the others on or off. `on`: ids of those that are. */
const { process, on, beginning } = defineProps<{ process: ProcessBody; on: ReadonlySet<string>; beginning?: boolean }>()
defineEmits<{ turn: [id: string, on: boolean] }>()
const said = computed(() => optionGroups(process))
</script>

<template>
  <ChoiceField
    v-for="group in said.groups"
    :key="group.id"
    :model-value="group.options.find((one) => on.has(one.id))?.id ?? null"
    :label="beginning ? `${group.name}, to begin with` : group.name"
    :choices="group.options.map((one) => ({ value: one.id, name: one.name }))"
    @update:model-value="(id) => id !== null && $emit('turn', id, true)"
  />
  <SwitchField
    v-for="option in said.single"
    :key="option.id"
    :model-value="on.has(option.id)"
    :label="option.name"
    @update:model-value="(value) => $emit('turn', option.id, value)"
  />
</template>
