<script setup lang="ts">
import { ratioAt, toneName, tonerColours, tonerMix, toneOf } from '@selvrin/core'
import type { Swatch } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'
import SwatchPicture from './SwatchPicture.vue'
import { stripWords, type BookView } from './useBook'

/** The ratio of the two stocks as a dial from yellow tan to cold dark brown; its colour out of the darkroom's own book, and the mix. */
const { book } = defineProps<{ book: BookView }>()
const emit = defineEmits<{ pick: [swatch: Swatch] }>()
const tone = defineModel<number>({ required: true })
const show = useShow()
const ml = ref<number | null>(500)
const ratio = computed(() => ratioAt(tone.value))
const mix = computed(() => (ml.value === null || ml.value <= 0 ? null : tonerMix({ ml: ml.value, ...ratio.value })))
/** a swatch within so much of the dial says its colour */
const near = 0.13
const nearest = computed(() => book.nearest(tone.value).filter((one) => one.apart <= near))
const first = computed(() => nearest.value[0]?.swatch ?? null)
</script>

<template>
  <section aria-labelledby="ratio">
    <h2 id="ratio" class="mb-2 text-2xl font-bold">Thiourea, by its ratio</h2>
    <div class="mb-2 flex flex-wrap gap-1" role="group" aria-label="Colours">
      <button
        v-for="one in tonerColours"
        :key="one.name"
        type="button"
        class="button button-small"
        :class="Math.abs(toneOf(one) - tone) < 0.005 ? 'button-main' : ''"
        :aria-pressed="Math.abs(toneOf(one) - tone) < 0.005"
        @click="tone = toneOf(one)"
      >
        {{ one.name }}
      </button>
    </div>
    <label class="block max-w-xl">
      <span class="sr-only">From yellow tan to cold dark brown</span>
      <input v-model.number="tone" class="range" type="range" min="0" max="1" step="0.05" :aria-valuetext="toneName(ratio)" />
    </label>
    <p class="text-lg">
      <b class="font-mono text-5xl">{{ show.plain(ratio.thiourea) }} + {{ show.plain(ratio.hydroxide) }}</b>
      <span class="ml-3">thiourea stock + hydroxide stock: {{ toneName(ratio) }}</span>
    </p>
    <div class="my-2 max-w-xs"><QuantityField v-model="ml" label="Toner wanted" kind="volume" /></div>
    <p v-if="mix" class="mt-2 text-2xl" role="status">
      Water <b class="font-mono">{{ show.volume(mix.waterMl) }}</b>, hydroxide stock
      <b class="font-mono">{{ show.volume(mix.hydroxideMl) }}</b>, then thiourea stock
      <b class="font-mono">{{ show.volume(mix.thioureaMl) }}</b>
      <span class="block text-base text-quiet"
        >{{ show.mass(mix.thioureaG) }} thiourea, {{ show.mass(mix.hydroxideG) }} hydroxide in it. Stocks of 10 %; the toner lives for
        hours.</span
      >
    </p>
    <button v-if="first" type="button" class="mt-2 block w-full max-w-xl text-left" @click="emit('pick', first)">
      <SwatchPicture :swatch="first" />
      <span class="block">as here on {{ first.body.paper }}: {{ stripWords(first.body) }}</span>
    </button>
    <p v-else class="mt-2 text-lg text-quiet">No strip of that ratio in the book yet: tone one and keep it.</p>
  </section>
</template>
