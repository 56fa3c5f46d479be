<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { api, type RunSummary } from '@selvrin/core/contract'
import { computed, defineAsyncComponent, onMounted, ref } from 'vue'
import { usePaged } from '../api/usePaged'
import { now } from '../clock'
import FindField from '../fields/FindField.vue'
import { vFocusFirst } from '../hand/focusFirst'
import WaitFor from '../fields/WaitFor.vue'
import { counted, daysBetween, showMoment, showRolls, showSpan } from '../marks/words'
import { useSession } from '../session/store'
import { useRuns, useVessels } from '../stores'
import { useClocks } from './clocks'

/** What now: what runs, what is planned, what was done last and can be done again, which vessel is wet. */
const VesselsPanel = defineAsyncComponent(() => import('./VesselsPanel.vue'))
const session = useSession()
const runs = useRuns()
const vessels = useVessels()
const clocks = useClocks()
onMounted(() => void Promise.all([runs.load(), vessels.load()]))
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const isOver = (run: RunSummary) => run.state === 'done' || run.state === 'abandoned'
const over = { subject: 'run', holds: isOver } as const
/** what was done lately, whatever is looked for */
const lately = usePaged(api.run.list, () => ({ which: 'over' }), over)
const find = ref('')
const sought = usePaged(api.run.list, () => (find.value.trim() === '' ? null : { which: 'over', find: find.value.trim() }), over)
const past = lately.rows
const list = computed(() => (find.value.trim() === '' ? lately : sought))
const known = computed(() => ({ loaded: lately.loaded.value, problem: lately.problem.value || sought.problem.value }))
const clock = (id: string) => clocks.running.find((one) => one.id === id)

/** The last run of each kind: the same films in the same tank are one kind. */
const againAtMost = 4
const again = computed(() => {
  const kinds = new Map<string, RunSummary>()
  for (const run of past.value) {
    if (run.state !== 'done') continue
    const kind = [run.vessel, ...new Set(run.films)].join('|')
    if (!kinds.has(kind)) kinds.set(kind, run)
  }
  return [...kinds.values()].slice(0, againAtMost)
})
/** A tank that was used within the day is still wet: film sticks to its reels. */
const wetDays = 0.5
const wet = computed(() =>
  vessels.rows.flatMap((vessel) => {
    const last = past.value.find((run) => run.vessel === vessel.name && run.endedAt !== null)
    const days = last?.endedAt == null ? Infinity : daysBetween(last.endedAt, now())
    return days < wetDays ? [{ name: vessel.name, says: `wet since run ${last?.number}, ${showSpan(days)} ago` }] : []
  }),
)
const most = ref(12)
const shown = computed(() => (find.value.trim() === '' ? list.value.rows.value.slice(0, most.value) : list.value.rows.value))
async function showMore(): Promise<void> {
  if (shown.value.length === list.value.rows.value.length) await list.value.more()
  most.value += 40
}
</script>

<template>
  <div class="station">
    <div class="mb-4 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">Tanks</h1>
      <RouterLink to="/tanks/chart" class="button ml-auto">Wall chart</RouterLink>
      <RouterLink to="/tanks/plan" class="button button-main">Plan a run</RouterLink>
    </div>
    <WaitFor :of="[runs, known]" what="the runs">
      <ul v-if="runs.rows.length > 0" class="mb-8 space-y-3">
        <li v-for="run in runs.rows" :key="run.id">
          <RouterLink :to="`/tanks/${run.id}`" class="card flex flex-wrap items-center gap-6 border-2 border-ink">
            <b v-if="clock(run.id)" class="font-mono text-5xl">{{ showTime(Math.max(clock(run.id)?.remainingS ?? 0, 0)) }}</b>
            <b v-else class="text-2xl">{{ run.state === 'planned' ? 'Ready to pour' : 'At the tank' }}</b>
            <span class="min-w-0 flex-1 text-xl break-words"
              ><b>Run {{ run.number }}</b
              >, {{ run.vessel }}{{ clock(run.id) ? `, ${clock(run.id)?.step}` : '' }}<br /><span class="text-quiet">{{
                run.films.join(', ')
              }}</span></span
            >
            <span class="button">{{ run.state === 'planned' ? 'Go to the beakers' : 'Go to the clock' }}</span>
          </RouterLink>
        </li>
      </ul>
      <p v-else class="mb-6 text-xl">No tank is in use.</p>
      <ul v-if="wet.length > 0" class="mb-6">
        <li v-for="one in wet" :key="one.name" class="text-lg">
          <b>{{ one.name }}</b> is {{ one.says }}: dry its reels before film goes on them.
        </li>
      </ul>
      <section v-if="again.length > 0" class="mb-8" aria-labelledby="again">
        <h2 id="again" class="mb-1 text-xl font-bold">The same again</h2>
        <ul>
          <li v-for="(run, i) in again" :key="run.id" class="border-b border-line">
            <RouterLink
              v-focus-first="i === 0"
              :to="`/tanks/plan?again=${run.id}`"
              class="flex min-h-14 flex-wrap items-center gap-x-5 text-lg underline-offset-4 hover:underline"
            >
              <b class="min-w-0 flex-1 break-words">{{ [...new Set(run.films)].join(', ') }}</b>
              <span>{{ run.vessel }}, {{ counted(run.films.length, 'film') }}, as run {{ run.number }}</span>
            </RouterLink>
          </li>
        </ul>
      </section>
      <h2 class="mb-1 text-xl font-bold">Developed lately</h2>
      <p v-if="past.length === 0" class="text-quiet">Nothing yet.</p>
      <FindField
        v-else
        v-model="find"
        class="mb-3 max-w-sm"
        label="Find a run"
        kept="runs"
        :count="shown.length"
        :more="list.hasMore.value"
        what="runs"
      />
      <ul>
        <li v-for="run in shown" :key="run.id" class="border-b border-line">
          <RouterLink
            :to="`/tanks/${run.id}`"
            class="grid min-h-12 grid-cols-[5rem_13rem_minmax(0,1fr)_minmax(0,1fr)] items-center gap-x-4 underline-offset-4 hover:underline max-lg:grid-cols-[5rem_minmax(0,1fr)] max-lg:py-2"
          >
            <b>Run {{ run.number }}</b>
            <span class="text-quiet">{{ showMoment(run.endedAt ?? run.plannedAt, zone) }}</span>
            <span class="break-words">{{ run.films.join(', ') }}</span>
            <span class="text-quiet"
              >{{ run.state === 'abandoned' ? 'given up' : showRolls(run.rolls) }}, {{ run.vessel }}, {{ run.by }}</span
            >
          </RouterLink>
        </li>
      </ul>
      <button
        v-if="list.hasMore.value || shown.length < list.rows.value.length"
        class="button mt-4"
        :disabled="list.busy.value"
        @click="showMore()"
      >
        Show more
      </button>
    </WaitFor>
    <VesselsPanel class="mt-8" />
  </div>
</template>
