<script setup lang="ts">
import type { PrintPlace } from '@selvrin/core/contract'
import { now } from '../clock'
import { placeWords } from './usePrinting'

/** One's own places, each to be moved or given back. */
const { zone } = defineProps<{ places: PrintPlace[]; zone: string }>()
defineEmits<{ move: [place: PrintPlace]; giveBack: [place: PrintPlace] }>()
const begun = (place: PrintPlace): boolean => place.fromAt <= now()
</script>

<template>
  <ul>
    <li v-for="place in places" :key="place.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-1">
      <b class="text-lg">{{ placeWords(place, zone) }}</b>
      <span class="flex-1 break-words text-quiet">{{ place.overruled ?? '' }}</span>
      <span class="flex gap-2">
        <button type="button" class="button button-small" @click="$emit('move', place)">
          Move<span class="sr-only"> {{ placeWords(place, zone) }}</span>
        </button>
        <button type="button" class="button button-small" @click="$emit('giveBack', place)">
          {{ begun(place) ? 'End now' : 'Give back' }}<span class="sr-only"> {{ placeWords(place, zone) }}</span>
        </button>
      </span>
    </li>
  </ul>
</template>
