<script setup lang="ts">
import { reasonAgainst } from '@selvrin/core'
import { computed } from 'vue'
import type { Bottle } from '@selvrin/core/contract'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'

const show = useShow()
/** A bottle that should not be used asks for a technician's reason, which stays on the record. */
const { bottle } = defineProps<{ bottle: Bottle }>()
const model = defineModel<string>({ required: true })
const against = computed(() => reasonAgainst(bottle))
</script>

<template>
  <div v-if="against" class="border-l-4 border-alarm pl-4">
    <p class="mb-2 font-semibold">{{ bottle.label }} should not be used. {{ show.said(against.message) }}</p>
    <TextField v-model="model" label="Why it is used all the same" hint="stays on the record, with your name" />
  </div>
</template>
