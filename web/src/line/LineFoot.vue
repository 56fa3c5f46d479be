<script setup lang="ts">
import type { TrayFill } from '@selvrin/core/contract'
import BathMark from '../marks/BathMark.vue'
import { percent } from '../marks/words'
import { useShow } from '../session/useShow'
import { openWords, roleFamily, roleName } from './lineWords'
import { useLine } from './useLine'

/** The tray line in one row, at the foot of what is printed: what is in each tray, how long, and what is left of it. */
const { line, time, standingOf } = useLine()
const show = useShow()
function words(fill: TrayFill): string {
  const { share, findings } = standingOf(fill)
  const through = show.plain(Number((fill.rc + fill.fibre).toFixed(1)))
  return [
    fill.bottle?.parts ? fill.bottle.parts.join('+') : '',
    fill.role === 'develop' && line.value ? show.temperature(line.value.celsius) : '',
    fill.bottle ? openWords(time.value - fill.at) : '',
    fill.bottle ? `${through} prints` : '',
    share === null ? '' : share >= 1 ? 'used up' : `${percent(1 - share)} left`,
    findings[0] ? `▲ ${show.said(findings[0].message)}` : '',
  ]
    .filter(Boolean)
    .join(', ')
}
</script>

<template>
  <section v-if="line" aria-label="Trays" class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-line pt-2">
    <RouterLink to="/trays/line" class="link">Trays</RouterLink>
    <p v-for="fill in line.fills" :key="fill.id" class="flex items-center gap-2">
      <BathMark :family="roleFamily(fill.role)" :size="22" />
      <span
        ><b>{{ roleName(fill.role) }}</b> {{ words(fill) }}</span
      >
    </p>
  </section>
</template>
