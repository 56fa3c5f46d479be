<script setup lang="ts">
import { markOf, showParts } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { computed } from 'vue'
import BathMark from '../marks/BathMark.vue'
import TallyMarks from '../marks/TallyMarks.vue'
import { cssPercent, showDay } from '../marks/words'
import { goodForWords, leftWords } from './lifeWords'

/** A bottle as it stands on the shelf, drawn to scale: a litre and a half is twice the girth of a small one. */
const { bottle, zone, first, flag } = defineProps<{ bottle: Bottle; zone: string; first: boolean; flag: string }>()

const scale = computed(() => Math.min(1.16, Math.max(0.93, Math.cbrt(bottle.sizeMl / 1000))))
const width = computed(() => Math.round(150 * scale.value))
const height = computed(() => Math.round(184 * scale.value))
// outline in a 100 × 140 box: body from y 40 to 140, shoulders to y 20, neck to y 10
const fill = computed(() => Math.min(1, bottle.state.volumeMl / bottle.sizeMl))
const level = computed(() => 139 - fill.value * 112)
const colour = computed(() => `var(--${markOf(bottle.family).colour})`)
const counted = computed(() => (bottle.use.school === 'one-shot' ? 0 : bottle.state.rolls + bottle.state.paper))
const left = computed(() => leftWords(bottle))
const rolls = computed(() => goodForWords(bottle))
const outline = 'M36 10h28v8c0 6 4 8 12 12l16 7c5 2 7 6 7 11v86c0 4-2 5-5 5H6c-3 0-5-1-5-5V48c0-5 2-9 7-11l16-7c8-4 12-6 12-12z'
</script>

<template>
  <RouterLink :to="`/shelf/${bottle.id}`" class="relative block shrink-0" :style="{ width: `${width}px`, height: `${height}px` }">
    <svg class="absolute inset-0 h-full w-full" viewBox="0 0 100 140" preserveAspectRatio="none" aria-hidden="true">
      <clipPath :id="`clip-${bottle.id}`"><path :d="outline" /></clipPath>
      <path :d="outline" fill="var(--glass)" />
      <g :clip-path="`url(#clip-${bottle.id})`">
        <rect x="0" :y="level" width="100" height="140" :style="{ fill: `color-mix(in srgb, ${colour} var(--liquid), var(--glass))` }" />
        <path :d="`M0 ${level}h100`" :stroke="colour" stroke-width="2" vector-effect="non-scaling-stroke" />
      </g>
      <path :d="outline" fill="none" stroke="var(--ink)" stroke-width="2" vector-effect="non-scaling-stroke" />
      <rect x="33" y="0" width="34" height="11" rx="2" :fill="bottle.retiredAt === null ? 'var(--ink)' : 'var(--quiet)'" />
      <path v-if="bottle.retiredAt !== null" d="M35 10 65 1M35 1l30 9" stroke="var(--ground)" stroke-width="2" />
    </svg>
    <div
      class="tape absolute inset-x-[5%] bottom-[4%] flex flex-col overflow-hidden rounded-sm border px-1.5 py-1 leading-tight text-ink"
      :style="{ '--used': cssPercent(1 - bottle.state.remaining) }"
    >
      <p class="flex items-center gap-1.5">
        <BathMark :family="bottle.family" :size="20" />
        <b class="text-xl">{{ bottle.label }}</b>
        <span class="ml-auto text-sm whitespace-nowrap">{{ showDay(bottle.madeAt, zone) }}</span>
      </p>
      <p class="line-clamp-2 text-[15px] font-semibold">{{ bottle.name }}</p>
      <p class="flex min-h-5 items-center gap-2 text-sm whitespace-nowrap">
        <template v-if="counted === 0 || bottle.parts">{{ showParts(bottle.parts) }}</template><TallyMarks
          v-if="counted > 0"
          :count="counted"
          :most="bottle.parts ? 10 : 15"
        />
        <span v-if="counted === 0" class="ml-auto">{{ rolls }}</span>
      </p>
      <p class="flex items-baseline justify-between gap-1 text-[15px] whitespace-nowrap">
        <b>{{ left }}</b> <span v-if="counted > 0" class="text-sm">{{ rolls }}</span>
      </p>
    </div>
    <p v-if="flag" class="absolute top-[13%] right-0 rounded-sm border-2 border-ink bg-panel px-1.5 text-sm font-bold text-ink">
      {{ flag }}
    </p>
    <p v-else-if="first" class="absolute top-[13%] right-0 rounded-sm bg-primary px-1.5 text-sm font-bold text-on-primary">Pour first</p>
  </RouterLink>
</template>

<style scoped>
/* the clean part of the label is the life left; the hatched part is used up */
.tape {
  background:
    repeating-linear-gradient(135deg, transparent 0 5px, var(--hatch) 5px 6.5px) 0 0 / var(--used) 100% no-repeat,
    linear-gradient(90deg, var(--tape-used) var(--used), var(--tape) 0);
  border-color: var(--plank);
  --hatch: #d0b974;
}
:root[data-light='safelight'] .tape {
  --hatch: #000;
}
</style>
