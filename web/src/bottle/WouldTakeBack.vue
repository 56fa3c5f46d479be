<script setup lang="ts">
import type { WouldHold as Would } from '@selvrin/core'
import type { LiveEvent } from '@selvrin/core/contract'
import { usePage } from '../api/usePage'
import WouldHold from './WouldHold.vue'

/** What taking something back would write, as the ledgers stand now; or why it cannot be. */
const { ask } = defineProps<{ ask: (signal: AbortSignal) => Promise<{ would: Would[] }> }>()
const { value, missing, load } = usePage(
  (signal) => ask(signal),
  (event: LiveEvent) => event.subject === 'bottle',
)
void load()
</script>

<template>
  <p v-if="missing" class="border-l-4 border-alarm pl-4 font-semibold" role="status">{{ missing }}</p>
  <WouldHold v-else-if="value" :would="value.would" back />
</template>
