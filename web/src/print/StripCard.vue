<script setup lang="ts">
import { exposuresOf, stripReading, stripTotals, type StripTry } from '@selvrin/core'
import { computed } from 'vue'
import { useShow } from '../session/useShow'
import { filterWords, secondsWords } from '../printroom/words'

/** A test strip: its bands as they were exposed, and the one that is right. A tap chooses a band, a tap on its neighbour what lies between the two. */
const { plan, fixed } = defineProps<{ plan: StripTry; fixed: boolean }>()
const emit = defineEmits<{ choose: [chosen: [number] | [number, number]] }>()
const show = useShow()
const totals = computed(() => stripTotals(plan.steps, plan.bands))
const increments = computed(() => exposuresOf(plan.steps, plan.bands, plan.way))
const ways = { cover: 'covered band by band', uncover: 'bared band by band', mask: 'each under its mask' }
const steps = computed(() => {
  const each = increments.value.map((one) => show.number(one, 1))
  return plan.way === 'cover' ? `${each[0] ?? ''} s, then +${each.slice(1).join(' +')}` : `${each.join(', ')} s`
})
const isIn = (i: number): boolean => plan.chosen?.includes(i as never) ?? false
function choose(i: number): void {
  const [first] = plan.chosen ?? []
  const one = plan.chosen?.length === 1 ? first : undefined
  emit('choose', one !== undefined && Math.abs(one - i) === 1 ? [Math.min(one, i), Math.max(one, i)] : [i])
}
const reading = computed(() => (plan.chosen === null ? null : stripReading(plan.steps, plan.bands, plan.chosen)))
const said = computed(() => {
  const [a, b] = plan.chosen ?? []
  if (a === undefined) return 'Which band is right?'
  return b === undefined ? `band ${a + 1}` : `between ${a + 1} and ${b + 1}`
})
/** darkness of a band, for the eye alone: red and grey by the theme */
const shade = (i: number): string => `${Math.round(8 + (84 * i) / Math.max(1, plan.bands - 1))}%`
</script>

<template>
  <p class="font-mono text-3xl font-bold">{{ plan.bands }} bands</p>
  <p>{{ filterWords(plan.filter) }}, {{ ways[plan.way] }}</p>
  <p class="text-quiet">{{ steps }}</p>
  <ol class="my-3 flex border-2 border-ink" aria-label="Bands">
    <li v-for="(total, i) in totals" :key="i" class="min-w-0 flex-1">
      <button
        type="button"
        class="band flex min-h-20 w-full items-end justify-center pb-1 disabled:cursor-default"
        :class="isIn(i) ? 'chosen' : ''"
        :style="{ '--dark': shade(i) }"
        :disabled="fixed"
        :aria-pressed="isIn(i)"
        @click="choose(i)"
      >
        <span class="bg-panel px-0.5 font-mono text-sm font-bold">{{ show.number(total, 1) }}<span class="sr-only"> s</span></span>
      </button>
    </li>
  </ol>
  <p role="status">
    {{ said
    }}<template v-if="reading !== null"
      >: <b class="font-mono">{{ secondsWords(reading) }}</b></template
    >
  </p>
</template>

<style scoped>
.band {
  background: color-mix(in srgb, var(--ink) var(--dark), var(--panel));
}
.chosen {
  outline: 4px solid var(--primary);
  outline-offset: 2px;
  position: relative;
  z-index: 1;
}
/* by safelight rank is never a shade: bands are hatched closer, not lighter */
:root[data-light='safelight'] .band {
  background: var(--panel);
  border-right: 2px solid var(--ink);
}
</style>
