<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { computed } from 'vue'
import PressOne from '../fields/PressOne.vue'
import QuantityField from '../fields/QuantityField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import { showClock } from '../marks/words'
import { useShow } from '../session/useShow'
import BathNow from './BathNow.vue'
import JugRows from './JugRows.vue'
import { useTempering } from './useTempering'
import { part } from '../part/part'

/** The tempering bath: what it is, when it has to be switched on, what to set it to, and whether it holds. */
const LineChart = part(() => import('../chart/LineChart.vue'))
const tempering = useTempering()
const { asked, jugs, bench, device, fit, answer, findings, startsAt, roomC, water, time, zone, readings } = tempering
const show = useShow()
const tenth = (celsius: number) => show.temperature(Math.round(celsius * 10) / 10)
const tolerances = computed(() => [0.15, 0.3, 0.5, 1].map((value) => ({ value, name: `±${show.apart(value)}` })))
const found = computed(() => (answer.value && answer.value.problem === '' ? answer.value : null))
const onAt = computed(() => (startsAt.value === null || !found.value ? null : startsAt.value - (found.value.neededS ?? 0) * 1000))
const lateMin = computed(() => (onAt.value === null ? 0 : Math.ceil((time.value - onAt.value) / 60_000)))
const lines = computed(() => {
  const course = (found.value?.course ?? []).filter((_, i) => i % 30 === 0)
  return [
    { name: 'bath', points: course.map(({ s, bathC }): [number, number] => [s / 60, show.temperatureOn(bathC)]) },
    ...jugs.value.slice(0, 2).map((_, i) => ({
      name: `jug ${i + 1}`,
      points: course.map(({ s, jugC }): [number, number] => [s / 60, show.temperatureOn(jugC[i] ?? 0)]),
    })),
  ]
})
const outWords = computed(() =>
  (found.value?.raised?.outS ?? []).map((s, i) => `jug ${i + 1} ${s === null ? 'never' : `after ${showTime(s)}`}`).join(', '),
)
</script>

<template>
  <div class="station">
    <RouterLink to="/tanks" class="link inline-flex min-h-11 items-center">← Tanks</RouterLink>
    <h1 class="mb-4 text-3xl font-bold">Tempering bath</h1>
    <div class="grid grid-cols-[22rem_minmax(0,1fr)] items-start gap-10 max-lg:grid-cols-1">
      <section class="space-y-5" aria-label="What is asked of it">
        <BathNow v-if="device" :device="device" :reading="bench.reading.value" :wanted="asked.targetC" />
        <template v-else>
          <p class="text-quiet">No bath answers at the bench: say what it is.</p>
          <QuantityField v-model="asked.bathC" kind="temperature" label="The bath now" />
          <SwitchField v-model="asked.covered" label="Covered" />
        </template>
        <QuantityField v-model="asked.targetC" kind="temperature" label="Temperature wanted" />
        <div>
          <p class="font-semibold">May be off by</p>
          <PressOne v-model="asked.toleranceC" label="May be off by" :choices="tolerances" />
        </div>
        <TextField v-model="asked.startAt" label="Pour at" hint="a time of today, such as 18:30" />
        <JugRows v-model="jugs" :room-c="roomC" />
        <div class="grid grid-cols-2 gap-4">
          <QuantityField v-model="asked.tankMl" kind="volume" label="In the tank" />
          <QuantityField v-model="asked.stepS" kind="time" label="Step takes" />
        </div>
      </section>
      <section class="space-y-6" aria-live="polite" aria-label="What it does">
        <p v-if="answer?.problem" class="text-2xl font-bold">{{ answer.problem }}</p>
        <template v-if="found">
          <div>
            <p class="text-quiet">{{ onAt === null ? 'From being switched on' : 'Switch it on' }}</p>
            <p class="font-mono text-8xl leading-none font-bold max-sm:text-6xl" data-switch-on>
              {{ onAt === null ? showTime(Math.ceil((found.neededS ?? 0) / 60) * 60) : showClock(onAt, zone) }}
            </p>
            <p v-if="onAt !== null && lateMin > 0" class="mt-2 text-xl font-bold">
              ▲ That was {{ lateMin }} min ago. Switched on now, everything is there at
              {{ showClock(time + (found.neededS ?? 0) * 1000, zone) }}; set higher, sooner.
            </p>
            <p class="mt-2 text-lg">
              {{ show.volume(water.litres * 1000) }} from {{ tenth(tempering.nowC.value) }}, {{ water.covered ? 'covered' : 'open' }}, in a
              room of {{ tenth(roomC) }}, to {{ asked.targetC === null ? '' : tenth(asked.targetC) }} with everything in it.
            </p>
          </div>
          <p v-if="jugs.length > 0 && found.raised" class="text-xl">
            Or set it to <b>{{ tenth(found.raised.setC) }}</b> and take them out: <b>{{ outWords }}</b>; then back to
            {{ asked.targetC === null ? '' : tenth(asked.targetC) }}.
          </p>
          <ul v-if="found.inBath && found.cold && found.inAir" class="space-y-1 text-xl">
            <li>
              <b>{{ found.inBath.holds ? 'Holds' : '▲ Does not hold' }}</b> ±{{ show.apart(asked.toleranceC ?? 0) }} for
              {{ showTime(asked.stepS ?? 0) }}, tank warmed before and standing in the bath: at the most
              {{ show.finely(found.inBath.worst) }}.
            </li>
            <li>
              <b>{{ found.cold.holds ? 'Holds' : '▲ Does not hold' }}</b> poured into a dry tank of {{ tenth(roomC) }}:
              {{ show.finely(found.cold.worst) }}.
            </li>
            <li>
              <b>{{ found.inAir.holds ? 'Holds' : '▲ Does not hold' }}</b> standing in air: {{ show.finely(found.inAir.worst) }} at the end.
            </li>
          </ul>
          <FindingList :findings="findings" />
          <p :class="fit.fitted ? 'text-quiet' : 'border-l-4 border-alarm pl-4'">
            {{
              fit.fitted
                ? `By ${readings.length} readings of its own log: ${Math.round(fit.powerW)} W, loses ${show.plain(Math.round(fit.uaWPerK * 10) / 10)} W/K, ±${show.apart(fit.errorC)}.`
                : 'By usual figures: fewer than five readings of this bath are in its log, and how far it is off is not known.'
            }}
          </p>
          <LineChart
            :lines="lines"
            x-name="min"
            :y-name="show.temperatureUnit()"
            :says="`The bath and its jugs from now on; all are there after ${showTime(found.neededS ?? 0)}.`"
            class="h-72"
          />
        </template>
      </section>
    </div>
  </div>
</template>
