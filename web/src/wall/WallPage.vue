<script setup lang="ts">
import { sameDay, showTime } from '@selvrin/core'
import { useEventListener } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { light } from '../light/light'
import BathMark from '../marks/BathMark.vue'
import { showClock, showDate } from '../marks/words'
import { temperatureWords } from './wallWords'
import { useWall } from './useWall'

/** A screen on the wall: what runs, what is next, what is in which jug, how long films develop tonight, whose films are dry. It is read from three metres and asks for nothing. */
const route = useRoute()
const { wall, runs, time, revoked, lost, heardAt } = useWall(String(route.params.token))
// its light is said in its address, so that nobody has to touch it
if (route.query.light === 'safelight' || route.query.light === 'white') light.value = route.query.light
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (event.key.toLowerCase() === 'l') light.value = light.value === 'white' ? 'safelight' : 'white'
})
const zone = computed(() => wall.value?.zone ?? 'UTC')
const clock = (at: number): string => showClock(at, zone.value)
/** The day of what is next, where it is another than today. */
const nextDay = computed(() => {
  const [first] = wall.value?.next ?? []
  return first && !sameDay(first.at, time.value, zone.value) ? showDate(first.at, zone.value) : ''
})
const jugs = computed(() => wall.value?.jugs ?? [])
const dry = computed(() => (wall.value?.hanging ?? []).filter((film) => film.dryAt <= time.value))
const wet = computed(() => (wall.value?.hanging ?? []).filter((film) => film.dryAt > time.value).sort((a, b) => a.dryAt - b.dryAt))
const owners = (films: { owner: string }[]): [string, number][] => {
  const counts = new Map<string, number>()
  for (const { owner } of films) counts.set(owner, (counts.get(owner) ?? 0) + 1)
  return [...counts]
}
const percentLeft = (left: number | null): string => (left === null ? '' : `${Math.round(left * 100)} %`)
</script>

<template>
  <div class="wall grid min-h-full content-start gap-x-[2.5vw] gap-y-[1.5vh] p-[2vw]">
    <header class="col-span-full flex items-baseline gap-[2vw]">
      <h1 class="font-mono text-[6vw] leading-none font-bold">{{ clock(time) }}</h1>
      <p class="text-[2vw]">{{ wall?.darkroom }}<br />{{ showDate(time, zone) }}</p>
      <p v-if="light === 'safelight'" class="text-[1.3vw] text-quiet">No tested safelight until the coin test says so.</p>
      <p v-if="lost && wall" class="ml-auto border-4 border-alarm px-[1vw] text-[1.8vw] font-bold" role="status">
        As of {{ clock(heardAt) }}: the line to the house is lost.
      </p>
    </header>
    <p v-if="revoked" class="col-span-full text-[2.4vw]">{{ revoked }}</p>
    <template v-else-if="wall">
      <section aria-labelledby="on" class="on">
        <h2 id="on">On now</h2>
        <p v-if="runs.length === 0" class="text-[2vw]">No tank is on.</p>
        <div v-for="run in runs" :key="run.number" class="mb-[1vh] flex items-center gap-[1.2vw] border-b border-line pb-[1vh]">
          <p class="font-mono text-[5.2vw] leading-none font-bold whitespace-nowrap">{{ run.over ? '+' : '' }}{{ run.remains }}</p>
          <BathMark :family="run.family" :size="56" />
          <p class="min-w-0 text-[1.9vw] leading-tight">
            <b>{{ run.step }}</b><br />{{ run.vessel }}, {{ run.owners.join(', ') }}<br /><span v-if="run.next" class="text-quiet"
              >then {{ run.next.toLowerCase() }}</span
            >
          </p>
        </div>
        <h2>Next{{ nextDay ? `, ${nextDay}` : '' }}</h2>
        <p v-if="wall.next.length === 0" class="text-[1.7vw]">Nothing is planned.</p>
        <p v-for="(one, i) in wall.next" :key="i" class="text-[1.9vw] leading-snug">
          <b class="font-mono">{{ clock(one.at) }}</b> {{ one.vessel }}: <b>{{ one.owners.join(', ') }}</b>, {{ one.what }}
        </p>
        <h2>Dry</h2>
        <p v-if="dry.length === 0" class="text-[1.7vw]">{{ wet.length === 0 ? 'Nothing hangs.' : 'Nothing is dry yet.' }}</p>
        <p class="text-[2vw] leading-snug font-bold">
          {{
            owners(dry)
              .map(([name, count]) => (count === 1 ? name : `${name} ×${count}`))
              .join(' · ')
          }}
        </p>
        <p v-if="wet.length > 0" class="text-[1.5vw] text-quiet">
          still wet:
          {{
            wet
              .slice(0, 6)
              .map((film) => `${film.owner} until ${clock(film.dryAt)}`)
              .join(', ')
          }}
        </p>
      </section>
      <section aria-labelledby="jugs">
        <h2 id="jugs">In the jugs</h2>
        <ul>
          <li v-for="jug in jugs.slice(0, 10)" :key="jug.label" class="flex items-center gap-[0.8vw] text-[1.5vw] leading-[1.3]">
            <BathMark :family="jug.family" :size="28" />
            <b class="w-[4.2vw]">{{ jug.label }}</b>
            <span class="min-w-0 flex-1 truncate">{{ jug.name }}</span>
            <b v-if="jug.due.length > 0" class="whitespace-nowrap text-alarm">▲ test</b>
            <b class="w-[6.5vw] text-right font-mono whitespace-nowrap">{{ percentLeft(jug.left) }}</b>
          </li>
        </ul>
        <h2>
          Developing tonight<span v-if="wall.measured" class="ml-[1vw] text-[1.3vw] font-normal text-quiet"
            >as {{ wall.measured.by }} stands, {{ clock(wall.measured.at) }}</span
          >
        </h2>
        <table class="w-full text-[1.5vw] leading-[1.35]">
          <tbody>
            <tr v-for="(one, i) in wall.times.slice(0, 8)" :key="i" class="border-b border-line">
              <th scope="row" class="pr-[0.6vw] text-left font-bold whitespace-nowrap">
                {{ one.film }} <span class="font-normal">EI {{ one.ei }}</span>
              </th>
              <td>{{ one.developer }} {{ one.parts.length > 1 ? one.parts.join('+') : '' }}</td>
              <td class="px-[0.6vw] text-right font-mono whitespace-nowrap">{{ temperatureWords(one.temperatureC) }}</td>
              <td class="text-right font-mono text-[1.9vw] font-bold">{{ showTime(one.seconds) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </template>
    <p v-else class="col-span-full text-[2.4vw]" role="status">
      {{ lost ? 'The house does not answer yet; it is asked again.' : 'One moment …' }}
    </p>
  </div>
</template>

<style scoped>
.wall {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.05fr);
}
h2 {
  margin: 0.6vh 0 0.4vh;
  border-bottom: 3px solid var(--ink);
  font-size: 1.7vw;
  font-weight: 700;
}
@media (max-width: 700px) {
  .wall {
    grid-template-columns: minmax(0, 1fr);
    zoom: 1.6;
  }
}
</style>
