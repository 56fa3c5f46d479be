<script setup lang="ts">
import { dayMs, type WeekOpening } from '@selvrin/core'
import { computed } from 'vue'
import { now } from '../clock'
import { counted, cssPercent, percent, showClock, showDate } from '../marks/words'

/** A day as it will be filled: how many films, how much of the hands, and who comes too late. */
const { opening, at, zone, late } = defineProps<{
  opening: WeekOpening | null
  at: number
  zone: string
  late: number
  printing: number
  chosen: boolean
}>()
defineEmits<{ choose: [] }>()
const share = computed(() => (opening && opening.thereS > 0 ? Math.min(1, opening.wantedS / opening.thereS) : 0))
</script>

<template>
  <p v-if="!opening" class="min-h-24 border border-dashed border-line p-2 text-quiet max-md:hidden">
    {{ showDate(at, zone) }}<br />{{ at < now() - dayMs / 2 ? '' : 'closed' }}
  </p>
  <button
    v-else
    class="flex min-h-24 w-full cursor-pointer flex-col items-start rounded-sm border-2 bg-panel p-2 text-left"
    :class="chosen ? 'border-ink outline-2 outline-offset-2 outline-ink' : 'border-quiet'"
    :aria-pressed="chosen"
    @click="$emit('choose')"
  >
    <b>{{ showDate(at, zone) }}</b>
    <span class="text-quiet">{{ showClock(opening.opensAt, zone) }}–{{ showClock(opening.closesAt, zone) }}</span>
    <span class="text-lg font-semibold">{{ opening.films === 0 ? 'free' : counted(opening.films, 'film') }}</span>
    <span v-if="late > 0" class="font-semibold text-alarm">▲ {{ late }} too late</span>
    <span v-if="printing > 0">{{ printing }} printing</span>
    <span v-if="opening.planned" class="text-quiet">planned</span>
    <span class="mt-auto block h-3 w-full border border-quiet" aria-hidden="true">
      <span class="block h-full bg-ink" :style="{ width: cssPercent(share) }"
    /></span>
    <span class="sr-only">{{ percent(share) }} of the hands</span>
  </button>
</template>
