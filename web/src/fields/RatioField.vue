<script setup lang="ts">
import { parseRatio, showParts } from '@selvrin/core'
import { computed, shallowRef } from 'vue'
import ReadField from './ReadField.vue'
import { useUnread } from './unread'

/** A dilution, as its parts. What is written for two things, one part and four or one part in four, is asked about before it is taken. */
const { stock } = defineProps<{ label: string; hint?: string; problem?: string; /** undiluted is an answer too */ stock?: boolean }>()
const model = defineModel<number[] | null>({ required: true })
const twoWays = shallowRef<number[] | null>(null)
const meant = shallowRef<number[] | null>(null)
const unmeant = computed(() =>
  twoWays.value && !meant.value ? `${twoWays.value.join(':')} is written for two things. Which is meant?` : '',
)
useUnread(unmeant)
const ways = computed(() => {
  const [one = 1, all = 0] = twoWays.value ?? []
  if (!twoWays.value) return []
  const asParts = { parts: twoWays.value, words: `${twoWays.value.join('+')}, ${twoWays.value.reduce((a, b) => a + b)} parts in all` }
  const oneIn = { parts: [one, all - one], words: `one in ${all}: ${one}+${all - one}` }
  return twoWays.value.length === 2 && all > one ? [asParts, oneIn] : [asParts]
})
function read(text: string): number[] | null {
  if (stock && text.trim() === 'stock') return [1]
  const { parts, ambiguous } = parseRatio(text)
  twoWays.value = ambiguous ? parts : null
  return ambiguous ? null : parts
}
function mean(parts: number[]): void {
  meant.value = parts
  model.value = parts
}
</script>

<template>
  <div @input.capture="((twoWays = null), (meant = null))">
    <ReadField v-model="model" :label="label" :hint="hint" :problem="unmeant || problem || ''" :read="read" :write="showParts" />
    <div v-if="twoWays" class="card mt-2 flex flex-wrap gap-3" role="group" aria-label="Which is meant?">
      <button
        v-for="way in ways"
        :key="way.words"
        type="button"
        class="button button-small"
        :aria-pressed="meant === way.parts"
        @click="mean(way.parts)"
      >
        {{ way.words }}
      </button>
    </div>
  </div>
</template>
