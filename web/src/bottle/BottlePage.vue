<script setup lang="ts">
import { showParts, type LifeCurve } from '@selvrin/core'
import { api, type Bottle, type BottlePage, type LedgerEntry } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { bathOf, standsBefore } from '../aid/before'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { now } from '../clock'
import PageState from '../fields/PageState.vue'
import TakeBackPanel from '../fields/TakeBackPanel.vue'
import BathMark from '../marks/BathMark.vue'
import { showMoment, showRolls } from '../marks/words'
import PrintLabels from '../label/PrintLabels.vue'
import { useSession } from '../session/store'
import { useBottles } from '../stores'
import { actionsOf, type Panel } from './bottleActions'
import BottleFacts from './BottleFacts.vue'

import { entryWords } from './entryWords'
import LedgerTable from './LedgerTable.vue'
import WouldTakeBack from './WouldTakeBack.vue'
import { part } from '../part/part'

const BottleTests = part(() => import('./BottleTests.vue'))
const LifeChart = part(() => import('./LifeChart.vue'))
// what is done now and then is fetched when it is asked for
const DilutePanel = part(() => import('./DilutePanel.vue'))
const PourPanel = part(() => import('./PourPanel.vue'))
const RetirePanel = part(() => import('./RetirePanel.vue'))
const UsedPanel = part(() => import('./UsedPanel.vue'))
const DecantPanel = part(() => import('./DecantPanel.vue'))
const MeasurePanel = part(() => import('./MeasurePanel.vue'))
const PhWhyPanel = part(() => import('./PhWhyPanel.vue'))
const PairPanel = part(() => import('./PairPanel.vue'))
const ReplenishPanel = part(() => import('./ReplenishPanel.vue'))
const SchoolPanel = part(() => import('./SchoolPanel.vue'))
const StandPanel = part(() => import('./StandPanel.vue'))
const WrongPanel = part(() => import('./WrongPanel.vue'))
const session = useSession()
const route = useRoute()
const router = useRouter()
const bottle = shallowRef<BottlePage | null>(null)
const curve = shallowRef<LifeCurve | null>(null)
const older = shallowRef<{ rows: LedgerEntry[]; more: boolean }>({ rows: [], more: false })
const panel = ref<Panel | null>(null)
const wrong = shallowRef<LedgerEntry | null>(null)
const newId = ref(uuid())
const { busy, problem, act } = useAction()
const id = computed(() => String(route.params.id))

const page = usePage(
  async (signal) => {
    const [got, life] = await Promise.all([
      call(api.bottle.get, { params: { id: id.value }, signal }),
      call(api.bottle.life, { params: { id: id.value }, signal }),
    ])
    return { got, life }
  },
  (event) => event.id === id.value || event.subject === 'rule',
)
const { load, missing } = page
watch(page.value, (answer) => {
  if (answer) show(answer.got)
  curve.value = answer?.life ?? null
})
function show(page: BottlePage): void {
  bottle.value = page
  older.value = { rows: [], more: page.more }
}
async function loadOlder(): Promise<void> {
  const last = older.value.rows.at(-1) ?? bottle.value?.ledger.at(-1)
  if (!last) return
  await act(async () => {
    const page = await call(api.bottle.ledger, { params: { id: id.value }, query: { after: last.id } })
    older.value = { rows: [...older.value.rows, ...page.rows], more: page.more }
  })
}
/** What the shelf knows of it stands there at once; its ledger and what could be done for it come after. */
const bottles = useBottles()
const whole = computed(() => page.value.value !== null)
function begin(): void {
  page.begin()
  const row = bottles.rows.find((one) => one.id === id.value)
  bottle.value = row
    ? { ...row, ledger: [], more: false, mixedFrom: null, batchNote: '', decant: null, lostPerOpening: null, runs: [], drum: null }
    : null
}
watch(id, begin, { immediate: true })

standsBefore(() =>
  bottle.value ? [{ name: `${bottle.value.label} ${bottle.value.name}`, bottleId: id.value, of: bathOf(bottle.value.family) }] : [],
)
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const actions = computed(() => (bottle.value && session.isTechnician ? actionsOf(bottle.value) : { first: [], more: [] }))

// an act asked for from elsewhere opens at once
watch(
  () => [route.query.do, bottle.value?.id] as const,
  ([asked, there]) => {
    if (typeof asked !== 'string' || there === undefined) return
    const all = [...actions.value.first, ...actions.value.more]
    panel.value = all.find((action) => action.panel === asked)?.panel ?? null
    void router.replace({ query: {} })
  },
)
function takeBack(entry: LedgerEntry): void {
  problem.value = ''
  newId.value = uuid()
  wrong.value = entry
}
const wouldReverse = (signal: AbortSignal) =>
  call(api.bottle.wouldReverse, { params: { id: id.value, entryId: wrong.value?.id ?? '' }, signal })
async function reverse(reason: string): Promise<void> {
  const entry = wrong.value
  if (!entry) return
  const good = await act(async () =>
    show(await call(api.bottle.reverse, { params: { id: id.value, entryId: entry.id }, body: { newId: newId.value, reason } })),
  )
  if (good) wrong.value = null
}
async function done(written?: Bottle): Promise<void> {
  panel.value = null
  if (written && bottle.value?.id === written.id) bottle.value = { ...bottle.value, ...written }
  await load()
}
</script>

<template>
  <div class="station">
    <template v-if="bottle">
      <p v-if="missing || page.problem.value" role="status" class="mb-2 border-l-4 border-alarm pl-3 font-semibold">
        This may be old. {{ missing || page.problem.value }}
      </p>
      <RouterLink to="/shelf" class="link inline-flex min-h-11 items-center">← Shelf</RouterLink>
      <div class="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-10 max-lg:grid-cols-1">
        <section>
          <div class="flex flex-wrap items-center gap-4">
            <BathMark :family="bottle.family" :size="56" />
            <h1 class="text-6xl font-bold">{{ bottle.label }}</h1>
            <p class="min-w-40 flex-1 text-xl leading-tight">
              <b>{{ bottle.name }}</b><br />{{ showParts(bottle.parts) }}{{ bottle.mixedFrom ? ` from ${bottle.mixedFrom}` : '' }}
            </p>
          </div>
          <div v-if="actions.first.length + actions.more.length > 0" class="mt-4 flex flex-wrap gap-2">
            <button
              v-for="(action, i) in actions.first"
              :key="action.panel"
              class="button"
              :class="i === 0 ? 'button-main' : ''"
              @click="panel = action.panel"
            >
              {{ action.name }}
            </button>
            <button v-for="action in actions.more" :key="action.panel" class="button button-small min-h-14" @click="panel = action.panel">
              {{ action.name }}
            </button>
            <PrintLabels v-if="bottle.retiredAt === null" :bottles="[bottle.id]" name="Print its label" small />
          </div>
          <BottleFacts :bottle="bottle" :zone="zone" />
        </section>
        <div class="space-y-8">
          <section aria-labelledby="life" class="min-h-80">
            <h2 id="life" class="mb-2 text-2xl font-bold">Life</h2>
            <LifeChart v-if="curve && curve.past.length > 0" :curve="curve" :zone="zone" :now="now()" />
          </section>
          <BottleTests :bottle="bottle" :zone="zone" />
          <section v-if="bottle.runs.length > 0" aria-labelledby="runs">
            <h2 id="runs" class="mb-1 text-2xl font-bold">Runs</h2>
            <ul class="columns-2 gap-6 max-sm:columns-1">
              <li v-for="run in bottle.runs.slice(0, 8)" :key="run.id">
                <component
                  :is="session.isTechnician ? RouterLink : 'span'"
                  :to="`/tanks/${run.id}`"
                  class="inline-flex min-h-11 items-center"
                  :class="session.isTechnician ? 'link' : ''"
                  >Run {{ run.number }}, {{ showRolls(run.rolls) }}</component
                >
                {{ showMoment(run.at, zone).split(',')[0] }}
              </li>
            </ul>
          </section>
          <section v-if="whole" aria-labelledby="ledger">
            <h2 id="ledger" class="mb-2 text-2xl font-bold">Ledger</h2>
            <LedgerTable
              :key="bottle.id"
              :of="bottle.id"
              :lines="[...bottle.ledger, ...older.rows]"
              :more="older.more"
              :zone="zone"
              @take-back="takeBack"
            />
            <button v-if="older.more" class="button button-small mt-3" :disabled="busy" @click="loadOlder">Older lines</button>
          </section>
        </div>
      </div>

      <DilutePanel v-if="panel === 'dilute'" :bottle="bottle" @close="panel = null" @made="panel = null" />
      <PourPanel v-if="panel === 'pour'" :bottle="bottle" @close="panel = null" @done="done" />
      <UsedPanel v-if="panel === 'use'" :bottle="bottle" @close="panel = null" @done="done" />
      <DecantPanel v-if="panel === 'decant'" :bottle="bottle" @close="panel = null" @done="done()" />
      <ReplenishPanel v-if="panel === 'replenish'" :bottle="bottle" @close="panel = null" @done="done" />
      <MeasurePanel v-if="panel === 'measure'" :bottle="bottle" @close="panel = null" @done="done" />
      <PhWhyPanel v-if="panel === 'ph'" :bottle="bottle" @close="panel = null" @done="done()" />
      <StandPanel v-if="panel === 'stand'" :bottle="bottle" @close="panel = null" @done="done()" />
      <SchoolPanel v-if="panel === 'school'" :bottle="bottle" @close="panel = null" @done="done()" />
      <PairPanel v-if="panel === 'pair'" :bottle="bottle" @close="panel = null" @done="done()" />
      <WrongPanel v-if="panel === 'wrong'" :bottle="bottle" @close="panel = null" @done="done()" />
      <RetirePanel v-if="panel === 'retire'" :bottle="bottle" @close="panel = null" @done="done()" />
      <TakeBackPanel
        v-if="wrong"
        :what="entryWords(wrong)"
        says="The line stays readable; a second line takes it back, with everything that was written together with it."
        :busy="busy"
        :problem="problem"
        @close="wrong = null"
        @take="reverse"
      >
        <WouldTakeBack :ask="wouldReverse" />
      </TakeBackPanel>
    </template>
    <PageState v-else :missing="missing" :problem="page.problem.value" what="the bottle" back="Back to the shelf" back-to="/shelf" />
  </div>
</template>
