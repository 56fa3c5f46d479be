<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { computed, defineAsyncComponent, onMounted } from 'vue'
import { showMoment, showRolls } from '../marks/words'
import { useSession } from '../session/store'
import { useRuns } from '../stores'
import { useClocks } from './clocks'
import WaitFor from '../fields/WaitFor.vue'

const VesselsPanel = defineAsyncComponent(() => import('./VesselsPanel.vue'))
const session = useSession()
const runs = useRuns()
const clocks = useClocks()
onMounted(() => void runs.load())
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const open = computed(() => runs.rows.filter((run) => run.state === 'planned' || run.state === 'running'))
const past = computed(() => runs.rows.filter((run) => run.state === 'done' || run.state === 'abandoned').slice(0, 40))
const clock = (id: string) => clocks.running.find((one) => one.id === id)
</script>

<template>
  <div class="station">
    <div class="mb-4 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">Tanks</h1>
      <RouterLink to="/tanks/chart" class="button ml-auto">Development chart</RouterLink>
      <RouterLink to="/tanks/plan" class="button button-main">Plan a run</RouterLink>
    </div>
    <WaitFor :of="[runs]" what="the runs">
      <ul v-if="open.length > 0" class="mb-8 space-y-3">
        <li v-for="run in open" :key="run.id">
          <RouterLink :to="`/tanks/${run.id}`" class="card flex flex-wrap items-center gap-6 border-2 border-ink">
            <b v-if="clock(run.id)" class="font-mono text-5xl">{{ showTime(Math.max(clock(run.id)?.remainingS ?? 0, 0)) }}</b>
            <b v-else class="text-2xl">{{ run.state === 'planned' ? 'Ready to pour' : 'At the tank' }}</b>
            <span class="text-xl"
              ><b>Run {{ run.number }}</b
              >, {{ run.vessel }}{{ clock(run.id) ? `, ${clock(run.id)?.step}` : '' }}<br /><span class="text-quiet">{{
                run.films.join(', ')
              }}</span></span
            >
            <span class="button ml-auto">{{ run.state === 'planned' ? 'Go to the beakers' : 'Go to the clock' }}</span>
          </RouterLink>
        </li>
      </ul>
      <p v-else class="mb-8 text-xl">No tank is in use.</p>
      <h2 class="mb-1 text-xl font-bold">Developed lately</h2>
      <p v-if="past.length === 0" class="text-quiet">Nothing yet.</p>
      <ul>
        <li v-for="run in past" :key="run.id" class="border-b border-line">
          <RouterLink
            :to="`/tanks/${run.id}`"
            class="grid min-h-12 grid-cols-[5rem_13rem_minmax(0,1fr)_auto] items-center gap-4 underline-offset-4 hover:underline max-sm:grid-cols-[4rem_1fr]"
          >
            <b>Run {{ run.number }}</b>
            <span class="text-quiet">{{ showMoment(run.endedAt ?? run.plannedAt, zone) }}</span>
            <span class="truncate">{{ run.films.join(', ') }}</span>
            <span class="text-quiet"
              >{{ run.state === 'abandoned' ? 'given up' : showRolls(run.rolls) }}, {{ run.vessel }}, {{ run.by }}</span
            >
          </RouterLink>
        </li>
      </ul>
    </WaitFor>
    <VesselsPanel class="mt-8" />
  </div>
</template>
