<script setup lang="ts">
import { historyCsv, type HistoryLine } from '@selvrin/core'
import { api, type RunSummary } from '@selvrin/core/contract'
import { computed, onMounted } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePaged } from '../api/usePaged'
import ProblemLine from '../fields/ProblemLine.vue'
import WaitFor from '../fields/WaitFor.vue'
import { download } from '../hand/download'
import { showMoment, showRolls } from '../marks/words'
import NoticeList from '../notice/NoticeList.vue'
import RunningRuns from './RunningRuns.vue'
import { useSession } from '../session/store'
import { useRuns } from '../stores'
import { useMine } from '../permission/mine'
import PermissionCard from '../permission/PermissionCard.vue'

/** The tanks of a member: what they may develop by themselves, what they lead now, and what they have led. */
const session = useSession()
const mine = useMine()
const runs = useRuns()
onMounted(() => void Promise.all([mine.load(), runs.load()]))
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const isOver = (run: RunSummary) => run.state === 'done' || run.state === 'abandoned'
const past = usePaged(api.run.list, () => ({ which: 'over' }), { subject: 'run', holds: isOver })
const known = computed(() => ({ loaded: past.loaded.value, problem: past.problem.value }))
const open = computed(() => mine.permissions.some((one) => one.before === ''))
const { busy, problem, act } = useAction()

/** Every page of what they led, each film on its line. */
async function everyRun(): Promise<HistoryLine[]> {
  const lines: HistoryLine[] = []
  let after: string | null = null
  do {
    const page: { rows: RunSummary[]; after: string | null } = await call(api.run.list, { query: after === null ? {} : { after } })
    for (const run of page.rows) {
      const { filmRows, state, number, processName, vessel } = await call(api.run.get, { params: { id: run.id } })
      lines.push(
        ...filmRows.map(({ film, ei, developer, developedS, temperatureC, result, note }) => ({
          ...{ run: number, at: run.startedAt ?? run.plannedAt, state, process: processName, tank: vessel },
          ...{ film, ei, developer, developedS, temperatureC, result, note },
        })),
      )
    }
    after = page.after
  } while (after !== null)
  return lines
}
const takeOut = () => act(async () => download('my runs.csv', historyCsv(await everyRun()), 'text/csv'))
</script>

<template>
  <div class="station max-w-5xl">
    <div class="mb-4 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">Tanks</h1>
      <RouterLink to="/training" class="button ml-auto">What I may do</RouterLink>
      <RouterLink to="/practice" class="button">Practice</RouterLink>
      <RouterLink v-if="open" to="/tanks/plan" class="button button-main" data-next>Plan a run</RouterLink>
    </div>
    <NoticeList class="mb-4" />
    <WaitFor :of="[mine, runs, known]" what="your tanks">
      <RunningRuns v-if="runs.rows.length > 0" class="mb-8" :runs="runs.rows" />
      <section aria-labelledby="may" class="mb-8">
        <h2 id="may" class="mb-2 text-2xl font-bold">What you may develop by yourself</h2>
        <p v-if="mine.permissions.length === 0" class="text-lg">
          Nothing yet. Practise a process dry until the film would be right, then ask the technician on duty: they say which process, which
          tank and which bottles.
        </p>
        <ul class="space-y-3">
          <PermissionCard v-for="one in mine.permissions" :key="one.id" :permission="one" />
        </ul>
      </section>
      <section aria-labelledby="led">
        <div class="flex flex-wrap items-center gap-4">
          <h2 id="led" class="text-2xl font-bold">What you have led</h2>
          <button v-if="past.rows.value.length > 0" class="button button-small ml-auto" :disabled="busy" @click="takeOut">
            Take it out as a table
          </button>
        </div>
        <ProblemLine :problem="problem" />
        <p v-if="past.rows.value.length === 0" class="text-quiet">No run yet.</p>
        <ul>
          <li v-for="run in past.rows.value" :key="run.id" class="border-b border-line">
            <RouterLink
              :to="`/tanks/${run.id}`"
              class="grid min-h-14 grid-cols-[5rem_12rem_minmax(0,1fr)_minmax(0,1fr)] items-center gap-x-4 underline-offset-4 hover:underline max-md:grid-cols-[5rem_minmax(0,1fr)] max-md:py-2"
            >
              <b>Run {{ run.number }}</b>
              <span class="text-quiet">{{ showMoment(run.endedAt ?? run.plannedAt, zone) }}</span>
              <span class="break-words max-md:col-span-2">{{ run.films.join(', ') }}</span>
              <span class="text-quiet max-md:col-span-2"
                >{{ run.state === 'abandoned' ? 'given up' : showRolls(run.rolls) }}, {{ run.processName }}, {{ run.vessel }}</span
              >
            </RouterLink>
          </li>
        </ul>
        <button v-if="past.hasMore.value" class="button mt-4" :disabled="past.busy.value" @click="past.more()">Show more</button>
      </section>
    </WaitFor>
  </div>
</template>
