<script setup lang="ts">
import type { EveningNames } from '@selvrin/core'
import type { Mover } from './useMoving'

/** Where a load is being moved to, and what it would meet there. */
const { mover } = defineProps<{ mover: Mover; names: EveningNames; clock: (s: number) => string }>()
const { moving, says } = mover
</script>

<template>
  <p
    v-if="moving"
    role="status"
    class="pointer-events-none absolute top-0 left-32 z-30 max-w-2xl border-2 bg-panel px-3 py-1 text-lg"
    :class="moving.meets.length > 0 ? 'border-alarm' : 'border-ink'"
  >
    <b class="font-mono">{{ clock(moving.place.startS) }}</b> {{ names.vessel(moving.place.vessel) }},
    {{ names.person(moving.place.person) }}:
    {{ says.length === 0 ? 'nothing is in its way.' : says.slice(0, 2).join(' ') }}
  </p>
</template>
