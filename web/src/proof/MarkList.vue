<script setup lang="ts">
import { inSentence } from '../marks/words'
import { digits } from '../session/manner'
import type { Photo } from './usePhoto'

/** The areas of a photograph: one is chosen, placed and moved by keys, and says what was read in it. */
const { of } = defineProps<{ of: Photo }>()
const { marks, active, reading } = of
const shown = (value: { density: number; spread: number; opaque: boolean }) =>
  value.opaque ? 'opaque' : `${digits(value.density, 2)} ±${digits(value.spread, 2)}`
const shownOf = (key: string): string => {
  const found = reading.value
  const area = found && { fresh: found.fresh, scrap: found.scrap, base: found.base }[key]
  return area ? shown(area) : ''
}
</script>

<template>
  <ul class="space-y-2">
    <li v-for="mark in marks" :key="mark.key" class="flex items-center gap-2">
      <button
        type="button"
        class="button button-small flex-1 text-left"
        :class="active === mark.key ? 'button-main' : ''"
        :aria-pressed="active === mark.key"
        @click="active = mark.key"
        @keydown="of.press(mark, $event) && $event.preventDefault()"
      >
        {{ mark.name }}
      </button>
      <template v-if="mark.density !== undefined">
        <input v-model="mark.density" class="input w-24 font-mono" :aria-label="`Density of ${inSentence(mark.name)}`" placeholder="D" />
        <button type="button" class="link min-h-11" :aria-label="`Leave ${mark.name} out`" @click="of.leaveOut(mark.key)">✕</button>
      </template>
      <b v-else-if="reading && shownOf(mark.key)" class="font-mono whitespace-nowrap">D {{ shownOf(mark.key) }}</b>
    </li>
  </ul>
  <button type="button" class="button button-small" @click="of.addStep()">A wedge step of known density</button>
</template>
