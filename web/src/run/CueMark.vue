<script setup lang="ts">
import { cuesAhead } from '@selvrin/core'
import { computed } from 'vue'
import BathMark from '../marks/BathMark.vue'
import { useClocks } from './clocks'
import { bigTime } from './clockWords'

/** A cue as a mark over the whole screen, to be read from two metres; nothing to press. */
const { runs } = defineProps<{ runs: string[] }>()
const clocks = useClocks()
const shownMs = 1800
const large = ['get-ready', 'pour-in', 'pour-out', 'agitate', 'check', 'open', 'lamp', 'turn', 'over']
/** What was called last of these runs, as long as its mark stands; none where a step is in the dark. */
const call = computed(() => {
  const at = clocks.time
  const all = runs.flatMap((id) => {
    const [run, clock] = [clocks.runs.get(id), clocks.clockOf(id)]
    if (!run || !clock || clock.course[clock.step]?.light === 'dark') return []
    return cuesAhead(clock)
      .filter((one) => large.includes(one.kind) && one.at <= at && one.at > at - shownMs)
      .map((one) => ({ ...one, number: run.number, step: clock.course[one.step], left: bigTime(clock, clock.course[clock.step]) }))
  })
  return all.sort((a, b) => a.at - b.at).at(-1) ?? null
})
</script>

<template>
  <div
    v-if="call"
    class="pointer-events-none fixed inset-0 z-40 grid place-items-center border-[1.5rem] border-ink bg-ground p-8 text-center"
    aria-hidden="true"
    data-cue-mark
  >
    <p class="text-[min(9rem,14vw)] leading-tight font-bold">
      <BathMark :family="call.step?.family ?? 'other'" :size="120" class="mx-auto" />
      <span v-if="runs.length > 1" class="block text-[min(4rem,7vw)]">Run {{ call.number }}</span>
      {{ call.word }}
      <span class="block font-mono text-[min(4rem,7vw)]">{{ call.left }}</span>
    </p>
  </div>
</template>
