<script setup lang="ts">
import { showTime } from '@selvrin/core'
import type { RunSummary } from '@selvrin/core/contract'
import { useSession } from '../session/store'
import { useClocks } from './clocks'

/** What is in a tank now, large, and what stands ready to be poured. */
defineProps<{ runs: RunSummary[] }>()
const clocks = useClocks()
const clock = (id: string) => clocks.running.find((one) => one.id === id)
const owners = (run: RunSummary) => [...new Set(run.owners)].join(', ')
const session = useSession()
/** who leads it, where that is a member */
const leads = (run: RunSummary) => (run.byMember && session.isTechnician ? ` · led by ${run.by}, a member` : '')
</script>

<template>
  <ul class="space-y-4">
    <li v-for="run in runs" :key="run.id">
      <RouterLink
        :to="`/tanks/${run.id}`"
        class="card flex flex-wrap items-end gap-x-8 gap-y-2"
        :class="run.state === 'running' ? 'border-4 border-primary' : 'items-center border-2 border-ink'"
      >
        <template v-if="run.state === 'running'">
          <span class="w-full text-quiet">running · {{ run.vessel }} · {{ owners(run) }}{{ leads(run) }}</span>
          <b v-if="clock(run.id)" class="font-mono text-8xl leading-none max-sm:text-6xl">{{
            showTime(Math.max(clock(run.id)?.remainingS ?? 0, 0))
          }}</b>
          <b v-else class="text-4xl">At the tank</b>
          <span class="min-w-44 flex-1 text-2xl break-words max-sm:min-w-full"
            ><b>Run {{ run.number }}</b
            >, {{ run.vessel }}{{ clock(run.id) ? `, ${clock(run.id)?.step}` : '' }}<br /><span class="text-lg text-quiet">{{
              run.films.join(', ')
            }}</span></span
          >
        </template>
        <template v-else>
          <b class="text-2xl">Ready to pour</b>
          <span class="min-w-44 flex-1 text-lg break-words max-sm:min-w-full"
            ><b>Run {{ run.number }}, {{ owners(run) }}</b
            >, {{ run.processName }} in {{ run.vessel }}<br /><span class="text-quiet"
              >{{ run.films.join(', ') }}{{ leads(run) }}</span
            ></span
          >
        </template>
        <span class="button" :class="run.state === 'planned' ? 'button-main' : ''">{{
          run.state === 'planned' ? 'Go to the beakers' : 'Go to the clock'
        }}</span>
      </RouterLink>
    </li>
  </ul>
</template>
