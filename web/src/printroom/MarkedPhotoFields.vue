<script setup lang="ts">
import ProgressBar from '../fields/ProgressBar.vue'
import { inSentence } from '../marks/words'
import PhotoPlace from '../proof/PhotoPlace.vue'
import type { MarkedPhoto } from './useMarkedPhoto'

/** A photograph is taken or chosen, and its places are marked; what was read off it stands in the slot. */
const { of, ask } = defineProps<{ of: MarkedPhoto; ask: string }>()
const { problem, doing, name, opened, open, stop, marks, active, toMark } = of
</script>

<template>
  <div class="space-y-3">
    <label class="button cursor-pointer">
      {{ name || ask }}
      <input
        type="file"
        accept="image/png,image/jpeg"
        capture="environment"
        class="sr-only"
        @change="open(($event.target as HTMLInputElement).files?.[0])"
      />
    </label>
    <ProgressBar v-if="doing" :words="doing.what" :share="doing.done" @stop="stop" />
    <p v-if="problem" class="font-semibold text-alarm" role="alert">{{ problem }}</p>
    <template v-if="opened">
      <p v-if="toMark.length > 0" role="status">Still to mark: {{ toMark.map(inSentence).join(', ') }}.</p>
      <slot v-else />
      <div class="flex flex-wrap gap-2" role="group" aria-label="Areas">
        <button
          v-for="mark in marks"
          :key="mark.key"
          type="button"
          class="button button-small"
          :class="active === mark.key ? 'button-main' : ''"
          :aria-pressed="active === mark.key"
          @click="active = mark.key"
          @keydown="of.press(mark, $event) && $event.preventDefault()"
        >
          {{ mark.name }}
        </button>
      </div>
      <PhotoPlace :of="of" />
    </template>
  </div>
</template>
