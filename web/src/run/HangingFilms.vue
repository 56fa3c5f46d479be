<script setup lang="ts">
import { dayMs, filmDryAt } from '@selvrin/core'
import type { RunSummary } from '@selvrin/core/contract'
import { computed } from 'vue'
import { now } from '../clock'
import { showClock } from '../marks/words'

/** Films that hang: when they are dry, and those that are and wait to be cut and sleeved. */
const { past, zone } = defineProps<{ past: RunSummary[]; zone: string }>()
const hanging = computed(() =>
  past.flatMap((run) => {
    if (run.state !== 'done' || run.endedAt === null || now() - run.endedAt > dayMs / 2) return []
    const dryAt = filmDryAt(run.endedAt)
    const owners = [...new Set(run.owners)].map((name) => {
      const count = run.owners.filter((one) => one === name).length
      return count > 1 ? `${name} ×${count}` : name
    })
    return [{ id: run.id, who: owners.join(', '), says: dryAt > now() ? `dry at ${showClock(dryAt, zone)}` : 'dry: to cut and sleeve' }]
  }),
)
</script>

<template>
  <section v-if="hanging.length > 0" aria-labelledby="hanging">
    <h2 id="hanging" class="mb-1 text-xl font-bold">Hanging</h2>
    <ul>
      <li v-for="one in hanging" :key="one.id">
        <RouterLink :to="`/tanks/${one.id}`" class="flex min-h-11 flex-wrap items-center gap-x-2 underline-offset-4 hover:underline"
          ><b>{{ one.who }}</b> <span class="text-quiet">{{ one.says }}</span></RouterLink
        >
      </li>
    </ul>
  </section>
</template>
