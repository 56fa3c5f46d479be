<script setup lang="ts">
import type { PrintPlace } from '@selvrin/core/contract'
import { showClock } from '../marks/words'

/** Who prints on a day, each to be moved or taken back. */
defineProps<{ places: PrintPlace[]; zone: string }>()
defineEmits<{ choose: [place: PrintPlace] }>()
</script>

<template>
  <ul class="mt-1.5 flex flex-wrap gap-1.5" aria-label="Who prints">
    <li v-for="place in places" :key="place.id">
      <button type="button" class="button button-small" @click="$emit('choose', place)">
        <span class="mr-2 font-mono font-normal">{{ showClock(place.fromAt, zone) }}–{{ showClock(place.untilAt, zone) }}</span
        >{{ place.member }}<span v-if="place.overruled" class="ml-2 font-normal">· {{ place.overruled }}</span>
      </button>
    </li>
  </ul>
</template>
