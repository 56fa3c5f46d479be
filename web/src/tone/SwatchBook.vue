<script setup lang="ts">
import { toneOf } from '@selvrin/core'
import type { Swatch } from '@selvrin/core/contract'
import { ref } from 'vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useSession } from '../session/store'
import SwatchPicture from './SwatchPicture.vue'
import { stripWords, type BookView } from './useBook'

/** Strips toned here: pick one, get the mix. */
const { book } = defineProps<{ book: BookView }>()
const emit = defineEmits<{ pick: [tone: number] }>()
const session = useSession()
const { swatches, busy, problem } = book
const chosen = ref('')
function pick(swatch: Swatch): void {
  chosen.value = swatch.id
  if (swatch.body.ratio) emit('pick', toneOf(swatch.body.ratio))
}
</script>

<template>
  <section aria-labelledby="book">
    <h2 id="book" class="mb-2 text-2xl font-bold">Swatch book</h2>
    <ProblemLine :problem="problem" />
    <p v-if="swatches.length === 0" class="text-lg">Empty yet. Tone a spare strip, and keep it with its ratio and its times.</p>
    <ul class="grid grid-cols-4 gap-4 max-lg:grid-cols-2 max-sm:grid-cols-1">
      <li v-for="one in swatches" :key="one.id">
        <button
          type="button"
          class="block w-full border-2 p-1 text-left"
          :class="chosen === one.id ? 'border-primary' : 'border-line'"
          :aria-pressed="chosen === one.id"
          @click="pick(one)"
        >
          <SwatchPicture :swatch="one" />
          <b class="block">{{ stripWords(one.body) }}</b>
          <span class="block text-quiet">{{ one.body.paper }}{{ one.body.note ? `; ${one.body.note}` : '' }}</span>
        </button>
        <button
          v-if="session.isTechnician && chosen === one.id"
          type="button"
          class="button button-small mt-1"
          :disabled="busy"
          @click="book.takeOut(one.id, one.version)"
        >
          Take it out of the book<span class="sr-only">: {{ stripWords(one.body) }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>
