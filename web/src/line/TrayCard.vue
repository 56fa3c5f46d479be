<script setup lang="ts">
import type { TrayFill } from '@selvrin/core/contract'
import { computed } from 'vue'
import BathMark from '../marks/BathMark.vue'
import { percent } from '../marks/words'
import { useShow } from '../session/useShow'
import { openWords, roleFamily, roleName } from './lineWords'
import TrayShape from './TrayShape.vue'
import type { LineView } from './useLine'

/** A tray as it stands in the row: what is in it, how long it is open, what went through, what is left and why. */
const { fill, view } = defineProps<{ fill: TrayFill; view: LineView }>()
const show = useShow()
const standing = computed(() => view.standingOf(fill))
const through = computed(() => fill.rc + fill.fibre)
const worst = computed(() => standing.value.findings[0])
const late = computed(() => fill.emergence.at(-1))
const open = computed(() => openWords(view.time.value - fill.at))
</script>

<template>
  <div class="flex items-center gap-2">
    <BathMark :family="roleFamily(fill.role)" :size="26" />
    <b class="text-xl leading-tight">{{ roleName(fill.role) }}</b>
    <b v-if="fill.bottle?.state.twoBath" class="ml-auto border-2 border-ink px-2 font-mono text-xl"
      ><span class="sr-only">bath </span>{{ fill.bottle.state.twoBath.position }}</b
    >
  </div>
  <TrayShape :role="fill.role" :share="standing.share" class="my-1" />
  <p class="leading-tight">
    <RouterLink v-if="fill.bottle" :to="`/shelf/${fill.bottle.id}`" class="link inline-flex min-h-11 items-center"
      >{{ fill.bottle.label }} {{ fill.bottle.name }}{{ fill.bottle.parts ? ` ${fill.bottle.parts.join('+')}` : '' }}</RouterLink
    >
    <template v-else>Water</template>
  </p>
  <p class="leading-tight text-quiet">{{ show.volume(fill.ml) }} in {{ fill.tray.name }}</p>
  <p v-if="standing.share !== null" class="mt-1 text-2xl leading-tight font-bold">
    {{ standing.share >= 1 ? 'used up' : `${percent(1 - standing.share)} left` }}
  </p>
  <p v-if="fill.bottle" class="leading-tight">{{ open }}, {{ show.plain(Number(through.toFixed(1))) }} prints</p>
  <p v-if="standing.why" class="leading-tight text-quiet">{{ show.said(standing.why) }}</p>
  <p v-if="late && fill.emergence.length > 1" class="leading-tight text-quiet">
    tones come up {{ show.number(late.ratio, 2) }} times as late as fresh
  </p>
  <p v-if="worst" class="mt-1 leading-tight" :class="worst.severity === 'error' ? 'font-semibold text-alarm' : ''">
    ▲ {{ show.said(worst.message) }}
  </p>
</template>
