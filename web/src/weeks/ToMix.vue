<script setup lang="ts">
import type { MixForecast } from '@selvrin/core'
import BathMark from '../marks/BathMark.vue'
import { showDate, showRolls } from '../marks/words'
import { useShow } from '../session/useShow'

/** What is missing in a week for what is planned in it, and by when. */
defineProps<{ mixing: MixForecast[]; wanted: boolean; zone: string }>()
const show = useShow()
const why = ({ unit, missing, wanted }: MixForecast): string =>
  unit === 'ml' ? `${show.volume(wanted)} wanted` : `${showRolls(missing)} of ${showRolls(wanted)} missing`
</script>

<template>
  <div>
    <p v-if="mixing.length === 0" class="text-quiet">{{ wanted ? 'What is on the shelf is enough.' : '' }}</p>
    <ul v-else aria-label="To mix">
      <li v-for="one in mixing" :key="`${one.formulaId} ${one.unit}`" class="flex items-start gap-2 py-0.5">
        <BathMark :family="one.family" :size="22" class="mt-3" />
        <span>
          <RouterLink :to="`/formulary/${one.formulaId}`" class="link">{{ one.name }}</RouterLink><br />
          mix <b class="font-mono">{{ show.volume(one.mixMl) }}</b>{{ one.by === null ? '' : ` by ${showDate(one.by, zone)}` }}
          <span class="text-quiet">({{ why(one) }})</span>
        </span>
      </li>
    </ul>
  </div>
</template>
