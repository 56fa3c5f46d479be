<script setup lang="ts">
import { reelsDryAt } from '@selvrin/core'
import { api, type RunSummary } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePaged } from '../api/usePaged'
import FindField from '../fields/FindField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import WaitFor from '../fields/WaitFor.vue'
import { useTime } from '../hand/useTime'
import { showClock, showMoment, showRolls } from '../marks/words'
import NoticeList from '../notice/NoticeList.vue'
import { useSession } from '../session/store'
import { useRuns, useVessels } from '../stores'
import AgainList from './AgainList.vue'
import HangingFilms from './HangingFilms.vue'
import RunningRuns from './RunningRuns.vue'
import { part } from '../part/part'

interface VesselNow {
  look: 'full' | 'wet' | 'dry'
  says: string
}
/** What now: what runs, what is planned, what can be done again, which vessel is wet, what hangs. What is over is found below. */
const VesselsPanel = part(() => import('./VesselsPanel.vue'))
const session = useSession()
const runs = useRuns()
const vessels = useVessels()
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
const time = useTime()
/** Which vessel is in a run, promised to one, or wet since one: film sticks to wet reels. */
const states = computed(
  () =>
    new Map(
      vessels.rows.map((vessel): [string, VesselNow] => {
        const [on, next] = [vessel.running?.[0], vessel.planned?.[0]]
        const last = past.value.find((run) => run.vessel === vessel.name && run.endedAt !== null)
        const dryAt = last?.endedAt == null ? 0 : reelsDryAt(last.endedAt)
        if (on !== undefined) return [vessel.id, { look: 'full', says: `in run ${on}` }]
        const wet = dryAt > time.value
        const says = [
          ...(wet ? [`reels wet until ${showClock(dryAt, zone.value)}`] : []),
          ...(next === undefined ? [] : [`for run ${next}`]),
        ]
        return [vessel.id, { look: wet ? 'wet' : 'dry', says: says.join(', ') || 'dry' }]
      }),
    ),
)
/** of the demo: its two tanks begin anew */
const evening = useAction()
const playAgain = () => evening.act(() => call(api.darkroom.evening))
const most = ref(8)
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
      <RouterLink to="/practice" class="link inline-flex min-h-11 items-center">Practice</RouterLink>
      <button v-if="session.session?.darkroom.kind === 'demo'" class="link min-h-11" :disabled="evening.busy.value" @click="playAgain">
        Play the evening again
      </button>
      <RouterLink to="/films/pairs" class="button ml-auto">How films come out</RouterLink>
      <RouterLink to="/tanks/bath" class="button">Tempering bath</RouterLink>
      <RouterLink to="/tanks/processes" class="button">Processes</RouterLink>
      <RouterLink to="/tanks/chart" class="button">Wall chart</RouterLink>
      <RouterLink to="/tanks/plan" class="button button-main">Plan a run</RouterLink>
    </div>
    <ProblemLine :problem="evening.problem.value" />
    <NoticeList class="mb-4" />
    <WaitFor :of="[runs, known]" what="the runs">
      <div class="mb-8 grid grid-cols-[minmax(0,1fr)_25rem] items-start gap-x-8 gap-y-6 max-xl:grid-cols-1">
        <div class="space-y-6">
          <RunningRuns v-if="runs.rows.length > 0" :runs="runs.rows" />
          <p v-else class="text-xl">No tank is in use.</p>
          <AgainList :past="past" />
        </div>
        <div class="space-y-6">
          <HangingFilms />
          <VesselsPanel :states="states" />
        </div>
      </div>
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
  </div>
</template>
