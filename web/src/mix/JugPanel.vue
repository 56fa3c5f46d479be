<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { DomainError, fitTimeConstant, showTime, timeToTemperature } from '@selvrin/core'
import { computed, ref, watch } from 'vue'
import { now } from '../clock'
import { useBench } from '../device/readings'
import QuantityField from '../fields/QuantityField.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'

/** When to take a jug out of its bath: from two readings some minutes apart. */
const { mixId, targetC } = defineProps<{ mixId: string; targetC: number | null }>()
const session = useSession()
const show = useShow()
const probe = useBench('thermometer')
interface Kept {
  bathC: number | null
  toC: number | null
  readings: { at: number; c: number }[]
}
const key = `jug ${mixId}`
const kept = ref<Kept>({ bathC: null, toC: targetC, readings: [], ...(JSON.parse(sessionStorage.getItem(key) ?? '{}') as Partial<Kept>) })
watch(kept, (value) => sessionStorage.setItem(key, JSON.stringify(value)), { deep: true })
const jugC = ref<number | null>(null)
const at = ref(now())
useIntervalFn(() => (at.value = now()), 1000)
const temperature = (celsius: number) => show.temperature(Math.round(celsius * 10) / 10)

function note(): void {
  const c = jugC.value ?? probe.reading.value?.value ?? null
  if (c === null) return
  kept.value.readings.push({ at: now(), c })
  jugC.value = null
}
const answer = computed(() => {
  const { bathC, toC, readings } = kept.value
  const [first, last] = [readings[0], readings.at(-1)]
  if (bathC === null || toC === null || !first || !last || readings.length < 2) return null
  try {
    const tauS = fitTimeConstant(
      readings.map((reading) => ({ s: (reading.at - first.at) / 1000, c: reading.c })),
      bathC,
    )
    return { outAt: last.at + timeToTemperature({ fromC: last.c, bathC, toC, tauS }) * 1000, tauS, problem: '' }
  } catch (error) {
    if (error instanceof DomainError) return { outAt: 0, tauS: 0, problem: error.message }
    throw error
  }
})
const clock = (ms: number) =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: session.session?.darkroom.zone ?? 'UTC' }).format(ms)
</script>

<template>
  <details class="card max-w-2xl" :open="kept.readings.length > 0">
    <summary class="min-h-11 cursor-pointer content-center text-lg font-semibold">A jug in a bath: when to take it out</summary>
    <div class="mt-3 space-y-3">
      <div class="grid grid-cols-2 gap-4">
        <QuantityField
          v-model="kept.bathC"
          kind="temperature"
          label="The bath has"
          hint="set it beyond what is wanted to get there faster"
        />
        <QuantityField v-model="kept.toC" kind="temperature" label="Wanted in the jug" />
      </div>
      <div class="flex flex-wrap items-start gap-4">
        <div class="w-56"><QuantityField v-model="jugC" kind="temperature" label="The jug has now" /></div>
        <button type="button" class="button mt-7" @click="note">
          Note it{{ jugC === null && probe.reading.value?.value != null ? `: ${temperature(probe.reading.value.value)}` : '' }}
        </button>
        <button v-if="kept.readings.length > 0" type="button" class="button mt-7" @click="kept.readings = []">Begin again</button>
      </div>
      <p v-if="kept.readings.length > 0" class="text-lg">
        <span v-for="(reading, i) in kept.readings" :key="i"
          >{{ i > 0 ? ' · ' : '' }}{{ clock(reading.at) }} <b class="font-mono">{{ temperature(reading.c) }}</b></span
        >
      </p>
      <p v-if="kept.readings.length === 1">Once more in a few minutes.</p>
      <p v-if="answer?.problem" class="font-semibold text-alarm">{{ answer.problem }}</p>
      <p v-else-if="answer" class="text-2xl font-bold" role="status">
        {{
          answer.outAt > at
            ? `Take it out at ${clock(answer.outAt)}, in ${showTime(Math.ceil((answer.outAt - at) / 1000))}`
            : 'Take it out now'
        }}
        <span class="block text-base font-normal text-quiet">estimated; time constant {{ Math.round(answer.tauS / 60) }} min</span>
      </p>
    </div>
  </details>
</template>
