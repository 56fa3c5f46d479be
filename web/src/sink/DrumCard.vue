<script setup lang="ts">
import { calendarDays, drumLabel, drumLimitMl } from '@selvrin/core'
import type { WasteDrum } from '@selvrin/core/contract'
import { computed } from 'vue'
import { catalogue } from '../chemical/chemistry'
import { now } from '../clock'
import HazardSign from '../hazard/HazardSign.vue'
import BathMark from '../marks/BathMark.vue'
import { counted } from '../marks/words'
import { useShow } from '../session/useShow'
import DrumShape from './DrumShape.vue'
import { drumMarks, drumName, standingWords } from './drumWords'

/** A drum as it stands in its tray: what it is for, how full, how long open, what is wrong. */
const { drum, zone } = defineProps<{ drum: WasteDrum; zone: string }>()
const show = useShow()
const label = computed(() => drumLabel(drum, drum.state, catalogue()))
const worst = computed(() => drum.findings.find((one) => one.severity !== 'advice') ?? drum.findings[0])
const days = computed(() => (drum.state.firstAt === null ? null : calendarDays(drum.state.firstAt, now(), zone)))
/** the rest stands on its page */
const firstOf = (text: string): string => `${text.split('. ')[0]?.replace(/\.$/, '')}.`
const standing = computed(() => (drum.labelledAt === null ? 'no label yet' : standingWords[drum.state.standing]))
</script>

<template>
  <RouterLink
    :to="`/sink/drums/${drum.id}`"
    class="flex w-72 gap-3 rounded-sm border-2 border-line bg-panel p-3 hover:border-ink max-sm:w-full"
  >
    <DrumShape :drum="drum" :size="84" />
    <span class="min-w-0 flex-1">
      <span class="flex items-center gap-2"
        ><BathMark :family="drumMarks[drum.family]" :size="26" /><b class="font-mono text-lg"
          ><span class="sr-only">Drum </span>{{ drum.code }}</b
        ></span
      >
      <b class="block leading-tight break-words">{{ drumName(drum) }}</b>
      <span class="block text-xl font-bold">{{ show.volume(drum.state.ml) }}</span>
      <span class="block leading-tight text-quiet">of {{ show.volume(drumLimitMl(drum)) }}, {{ standing }}</span>
      <span v-if="drum.state.silverG >= 0.05" class="block leading-tight">silver {{ show.mass(drum.state.silverG) }}</span>
      <span v-if="days !== null" class="block leading-tight text-quiet">{{
        days === 0 ? 'begun today' : `${counted(days, 'day')} open`
      }}</span>
      <span class="mt-1 flex gap-0.5"><HazardSign v-for="sign in label.pictograms" :key="sign" :sign="sign" :size="26" /></span>
      <span v-if="worst" class="mt-1 block leading-tight" :class="worst.severity === 'advice' ? 'text-quiet' : 'font-semibold text-alarm'"
        >{{ worst.severity === 'advice' ? '·' : '▲' }} {{ show.said(firstOf(worst.message)) }}</span
      >
    </span>
  </RouterLink>
</template>
