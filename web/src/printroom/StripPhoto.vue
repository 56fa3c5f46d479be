<script setup lang="ts">
import ProgressBar from '../fields/ProgressBar.vue'
import { light } from '../light/light'
import { inSentence } from '../marks/words'
import PhotoPlace from '../proof/PhotoPlace.vue'
import { useShow } from '../session/useShow'
import { useStripPhoto } from './useStripPhoto'

/** A strip read off a photograph of it, in white light, once it is fixed and dry. */
const { bands } = defineProps<{ bands: number }>()
const emit = defineEmits<{ read: [densities: number[]] }>()
const show = useShow()
const of = useStripPhoto(bands, (found) => emit('read', found))
const { problem, doing, name, opened, open, stop, marks, active, densities, toMark } = of
</script>

<template>
  <p v-if="light !== 'white'" class="text-quiet">A strip is photographed in white light, once it is fixed and dry.</p>
  <div v-else class="space-y-3">
    <label class="button cursor-pointer">
      {{ name || 'Photograph the strip' }}
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
      <p role="status">
        <template v-if="toMark.length > 0">Still to mark: {{ toMark.map(inSentence).join(', ') }}.</template>
        <template v-else-if="densities"
          >D <b class="font-mono">{{ densities.map((one) => show.number(one, 2)).join(' · ') }}</b>. Approximate: gloss lightens blacks;
          look at the last steps by eye as well.</template
        >
      </p>
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
