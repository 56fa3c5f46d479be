<script setup lang="ts">
import { drumLimitMl, markOf } from '@selvrin/core'
import type { WasteDrum } from '@selvrin/core/contract'
import { computed } from 'vue'
import { drumMarks } from './drumWords'

/** A drum with its level: to the line it may be filled; closed where it is sealed, hatched where nobody opens it. */
const { drum, size = 120 } = defineProps<{ drum: WasteDrum; size?: number }>()
/** of the drawing: where the liquid is when it is full to the brim, and empty */
const [top, bottom] = [26, 146]
const level = (ml: number): number => bottom - (bottom - top) * Math.min(1, ml / drum.volumeMl)
const colour = computed(() => `var(--${markOf(drumMarks[drum.family]).colour})`)
const shut = computed(() => drum.state.standing === 'sealed' || drum.state.standing === 'collected')
const quarantined = computed(() => drum.state.standing === 'quarantined')
</script>

<template>
  <svg :width="size" :height="(size * 154) / 112" viewBox="0 0 112 154" aria-hidden="true" class="shrink-0">
    <rect x="6" :y="level(drum.state.ml)" width="100" :height="bottom - level(drum.state.ml)" :fill="colour" />
    <path d="M6 20h100v126H6zM2 60h4M106 60h4M2 106h4M106 106h4" fill="none" stroke="var(--ink)" stroke-width="4" />
    <path :d="`M8 ${level(drumLimitMl(drum))}h96`" stroke="var(--ink)" stroke-width="2" stroke-dasharray="7 5" fill="none" />
    <!-- a cap with a vent, a closed lid, an open neck -->
    <path v-if="shut" d="M0 12h112v10H0z" fill="var(--ink)" />
    <path v-else d="M16 8h34v12H16z" :fill="drum.vented ? 'var(--panel)' : 'var(--ink)'" stroke="var(--ink)" stroke-width="4" />
    <path v-if="drum.vented && !shut" d="M24 8V2M33 8V2M42 8V2" stroke="var(--ink)" stroke-width="3" />
    <path v-if="quarantined" d="M6 20 106 146M106 20 6 146" stroke="var(--alarm)" stroke-width="7" fill="none" />
  </svg>
</template>
