<script setup lang="ts">
import type { RunSummary } from '@selvrin/core/contract'
import { computed } from 'vue'
import { vFocusFirst } from '../hand/focusFirst'
import { againKinds, cameOut } from './againKinds'

/** What was developed before and can be again now, one line a kind. */
const { past } = defineProps<{ past: RunSummary[] }>()
const kinds = computed(() => againKinds(past, 5))
</script>

<template>
  <section v-if="kinds.length > 0" aria-labelledby="again">
    <h2 id="again" class="mb-1 text-xl font-bold">The same again</h2>
    <ul>
      <li v-for="(kind, i) in kinds" :key="kind.runId" class="border-b border-line">
        <RouterLink
          v-focus-first="i === 0"
          :to="`/tanks/plan?again=${kind.runId}`"
          class="flex min-h-16 flex-wrap items-center gap-x-5 gap-y-1 py-1.5"
        >
          <span class="min-w-[min(16rem,100%)] flex-1"
            ><b class="block text-lg break-words">{{ kind.film }}</b
            ><span class="text-quiet">{{ kind.detail }}</span></span
          >
          <span class="text-quiet">{{ cameOut(kind) }}</span>
          <span class="button button-small">Plan it</span>
        </RouterLink>
      </li>
    </ul>
  </section>
</template>
