<script setup lang="ts">
import { sameDay, showTime } from '@selvrin/core'
import { useEventListener } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { light } from '../light/light'
import BathMark from '../marks/BathMark.vue'
import { showClock, showDate, showSpan } from '../marks/words'
import { useWall } from './useWall'
import WallList from './WallList.vue'
import { temperatureWords } from './wallWords'

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
/** So many tanks that each has one line. */
const many = computed(() => runs.value.length > 3)
const dry = computed(() => (wall.value?.hanging ?? []).filter((film) => film.dryAt <= time.value))
const wet = computed(() => (wall.value?.hanging ?? []).filter((film) => film.dryAt > time.value).sort((a, b) => a.dryAt - b.dryAt))
const owners = (films: { owner: string }[]): [string, number][] => {
  const counts = new Map<string, number>()
  for (const { owner } of films) counts.set(owner, (counts.get(owner) ?? 0) + 1)
  return [...counts]
}
/** So many of them, and how many more there are. */
const some = (all: string[], most: number): string =>
  [...all.slice(0, most), ...(all.length > most ? [`and ${all.length - most} more`] : [])].join(' · ')
const percentLeft = (left: number | null): string => (left === null ? '' : `${Math.round(left * 100)} %`)
</script>

<template>
  <div class="wall grid h-dvh gap-x-[2.5vw] gap-y-[1.5vh] p-[2vw]">
    <header class="col-span-full flex items-baseline gap-[2vw]">
      <h1 class="font-mono text-[6vw] leading-none font-bold">{{ clock(time) }}</h1>
      <p class="text-[2vw]">{{ wall?.darkroom }}<br />{{ showDate(time, zone) }}</p>
      <p v-if="light === 'safelight'" class="text-[1.3vw] text-quiet">This screen is no tested safelight until the coin test says so.</p>
      <p v-if="lost && wall" class="ml-auto border-4 border-alarm px-[1vw] text-[1.8vw] font-bold" role="status">
        As of {{ clock(heardAt) }}: the line to the house is lost.
      </p>
    </header>
    <p v-if="revoked" class="col-span-full text-[2.4vw]">{{ revoked }}</p>
    <template v-else-if="wall">
      <section aria-labelledby="on" class="flex min-h-0 flex-col">
        <h2 id="on">On now</h2>
        <p v-if="runs.length === 0" class="text-[2vw]">No tank is on.</p>
        <div v-for="run in runs" :key="run.number" class="mb-[1vh] flex items-center gap-[1.2vw] border-b border-line pb-[1vh]">
          <p class="font-mono leading-none font-bold whitespace-nowrap" :class="many ? 'text-[3vw]' : 'text-[5.2vw]'">
            {{ run.over ? '+' : '' }}{{ run.remains }}
          </p>
          <BathMark :family="run.family" :size="many ? 32 : 56" />
          <p class="min-w-0 leading-tight" :class="many ? 'text-[1.5vw]' : 'text-[1.9vw]'">
            <b>{{ run.step }}</b><br v-if="!many" />{{ many ? ', ' : '' }}{{ run.vessel }}, {{ run.owners.join(', ')
            }}<template v-if="run.next && !many"
              ><br /><span class="text-quiet">then {{ run.next.toLowerCase() }}</span></template
            >
          </p>
        </div>
        <WallList id="next" :title="`Next${nextDay ? `, ${nextDay}` : ''}`">
          <li v-if="wall.next.length === 0" class="text-[1.7vw]">Nothing is planned.</li>
          <li v-for="(one, i) in wall.next" :key="i" class="text-[1.9vw] leading-snug">
            <b class="font-mono">{{ clock(one.at) }}</b> {{ one.vessel }}: <b>{{ one.owners.join(', ') }}</b>, {{ one.what }}
          </li>
        </WallList>
        <h2>Dry</h2>
        <p v-if="dry.length === 0" class="text-[1.7vw]">{{ wet.length === 0 ? 'Nothing hangs.' : 'Nothing is dry yet.' }}</p>
        <p class="flex-none text-[2vw] leading-snug font-bold wrap-anywhere">
          {{
            some(
              owners(dry).map(([name, count]) => (count === 1 ? name : `${name} ×${count}`)),
              12,
            )
          }}
        </p>
        <p v-if="wet.length > 0" class="flex-none text-[1.5vw] text-quiet wrap-anywhere">
          still wet:
          {{
            some(
              wet.map((film) => `${film.owner} until ${clock(film.dryAt)}`),
              4,
            )
          }}
        </p>
      </section>
      <section aria-label="Baths" class="flex min-h-0 flex-col">
        <WallList id="jugs" title="In the jugs" said="how old, and how much of it is left">
          <li v-for="jug in wall.jugs" :key="jug.label" class="flex items-center gap-[0.8vw] text-[1.5vw] leading-[1.3]">
            <BathMark :family="jug.family" :size="28" />
            <b class="w-[4.2vw]">{{ jug.label }}</b>
            <span class="min-w-0 flex-1 wrap-anywhere">{{ jug.name }}</span>
            <b v-if="jug.due.length > 0" class="whitespace-nowrap text-alarm">▲ test</b>
            <span class="w-[6vw] text-right whitespace-nowrap">{{ showSpan(jug.ageDays) }}</span>
            <b class="w-[5vw] text-right font-mono whitespace-nowrap">{{ percentLeft(jug.left) }}</b>
          </li>
        </WallList>
        <WallList
          id="times"
          title="Developing tonight"
          :said="wall.measured ? `as ${wall.measured.by} stands, ${clock(wall.measured.at)}` : undefined"
        >
          <li v-if="wall.times.length === 0" class="text-[1.7vw]">No film that waits is in the chart of what stands here.</li>
          <li
            v-for="(one, i) in wall.times"
            :key="i"
            class="flex items-baseline gap-[0.8vw] border-b border-line text-[1.5vw] leading-[1.35]"
          >
            <span class="flex-none whitespace-nowrap"
              ><b>{{ one.film }}</b> EI {{ one.ei }}</span
            >
            <span class="min-w-0 flex-1 wrap-anywhere">{{ one.developer }} {{ one.parts.length > 1 ? one.parts.join('+') : '' }}</span>
            <span class="flex-none font-mono whitespace-nowrap">{{ temperatureWords(one.temperatureC) }}</span>
            <b class="w-[6.4vw] flex-none text-right font-mono text-[1.9vw] whitespace-nowrap">{{ showTime(one.seconds) }}</b>
          </li>
        </WallList>
      </section>
    </template>
    <p v-else class="col-span-full text-[2.4vw]" role="status">
      {{ lost ? 'The house does not answer yet; it is asked again.' : 'One moment …' }}
    </p>
  </div>
</template>

<style scoped>
.wall {
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr) minmax(0, 1.05fr);
}
.wall :deep(h2) {
  flex: none;
  margin: 0.6vh 0 0.4vh;
  border-bottom: 3px solid var(--ink);
  font-size: 1.7vw;
  font-weight: 700;
}
@media (max-width: 700px) {
  .wall {
    height: auto;
    grid-template: none / minmax(0, 1fr);
    zoom: 1.6;
  }
}
</style>
