<script setup lang="ts">
import { showParts, showVolume } from '@selvrin/core'
import { api, type BottlePage, type LedgerEntry } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { call, sentence } from '../api/call'
import { onChange } from '../api/live'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import BathMark from '../marks/BathMark.vue'
import FindingList from '../marks/FindingList.vue'
import TallyMarks from '../marks/TallyMarks.vue'
import { percent, showMoment, showRolls, showRollsLeft, showSpan } from '../marks/words'
import PrintLabels from '../print/PrintLabels.vue'
import { useSession } from '../session/store'
import DilutePanel from './DilutePanel.vue'
import { entryWords } from './entryWords'
import LifeBar from './LifeBar.vue'
import PourPanel from './PourPanel.vue'
import { useRoute } from 'vue-router'

const session = useSession()
const route = useRoute()
const bottle = shallowRef<BottlePage | null>(null)
const missing = ref('')
const panel = ref<'dilute' | 'pour' | 'use' | 'retire' | null>(null)
const wrong = shallowRef<LedgerEntry | null>(null)
const why = ref('')
const newId = ref(uuid())
const { busy, problem, act } = useAction()
const id = computed(() => String(route.params.id))

async function load(): Promise<void> {
  try {
    bottle.value = await call(api.bottle.get, { params: { id: id.value } })
  } catch (error) {
    missing.value = sentence(error)
  }
}
watch(id, () => void load(), { immediate: true })
onBeforeUnmount(onChange((event) => void ((event === 'all' || event.id === id.value) && load())))

const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const volume = (ml: number) => showVolume(ml, session.units)
const state = computed(() => bottle.value?.state)
const canDilute = computed(() => bottle.value?.parts === null && bottle.value.use.dilutions.some((parts) => parts.length > 1))
/** Liquid that is poured back as it is; a concentrate never is. */
const canTally = computed(
  () =>
    bottle.value?.use.school === 'counted' &&
    (bottle.value.parts !== null || bottle.value.use.dilutions.some((parts) => parts.length === 1)),
)
const age = computed(() => {
  if (!bottle.value || !state.value) return ''
  const keeps = state.value.keepsDays
  return `${showSpan(state.value.ageDays)} old${keeps === null ? '' : ` of ${showSpan(keeps)}`}`
})
const next = computed(() => {
  if (!bottle.value || !state.value) return ''
  if (bottle.value.use.school === 'one-shot') return 'Used once: every roll gets the chart’s time.'
  return state.value.nextTimeFactor === 1
    ? 'Counted: the time stays the same to the end of its capacity.'
    : `Next roll ×${state.value.nextTimeFactor.toFixed(2)}.`
})

function open(which: NonNullable<typeof panel.value>): void {
  problem.value = ''
  why.value = ''
  panel.value = which
}
function takeBack(entry: LedgerEntry): void {
  problem.value = ''
  why.value = ''
  newId.value = uuid()
  wrong.value = entry
}
async function reverse(): Promise<void> {
  const entry = wrong.value
  if (!entry) return
  const good = await act(async () => {
    bottle.value = await call(api.bottle.reverse, {
      params: { id: id.value, entryId: entry.id },
      body: { newId: newId.value, reason: why.value },
    })
  })
  if (good) wrong.value = null
}
async function retire(): Promise<void> {
  const good = await act(() =>
    call(api.bottle.retire, { params: { id: id.value }, body: { version: bottle.value?.version ?? 1, reason: why.value } }),
  )
  if (good) panel.value = null
  await load()
}
async function poured(page: BottlePage): Promise<void> {
  bottle.value = page
  panel.value = null
}
</script>

<template>
  <div class="station">
    <p v-if="missing" class="text-xl">{{ missing }} <RouterLink to="/shelf" class="link">Back to the shelf</RouterLink></p>
    <template v-else-if="bottle && state">
      <RouterLink to="/shelf" class="link inline-flex min-h-11 items-center">← Shelf</RouterLink>
      <div class="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-10 max-lg:grid-cols-1">
        <section>
          <div class="flex items-center gap-4">
            <BathMark :family="bottle.family" :size="56" />
            <h1 class="text-6xl font-bold">{{ bottle.label }}</h1>
            <p class="text-xl leading-tight">
              <b>{{ bottle.name }}</b><br />{{ showParts(bottle.parts) }}{{ bottle.mixedFrom ? ` from ${bottle.mixedFrom}` : '' }}
            </p>
          </div>
          <p class="mt-5 text-5xl font-bold">{{ bottle.retiredAt === null ? `${percent(state.remaining)} left` : 'Retired' }}</p>
          <p v-if="bottle.retiredWhy" class="text-xl">{{ bottle.retiredWhy }}</p>
          <p v-else class="text-xl">
            {{ state.rollsLeft === null ? '' : `good for ${showRollsLeft(state.rollsLeft)} · `
            }}<b class="font-mono">{{ volume(state.volumeMl) }}</b> of {{ volume(bottle.sizeMl) }} · {{ age }}
          </p>
          <LifeBar class="my-5" :used="state.used" :aged="state.aged" />
          <FindingList :findings="state.findings" class="mb-4" />
          <p>{{ next }}</p>
          <p v-if="state.rolls + state.paper > 0" class="mt-2 flex items-center gap-3">
            <TallyMarks :count="state.rolls + state.paper" /> {{ showRolls(state.rolls)
            }}{{ state.paper > 0 ? ` and ${Math.round(state.paper)} prints` : '' }} so far
          </p>
          <p v-if="state.silverGPerL" class="mt-2">
            About <b class="font-mono">{{ state.silverGPerL.toFixed(1) }} g/L</b> silver, by count.
          </p>
          <p v-if="state.strength < 0.999" class="mt-2">Thinned to {{ percent(state.strength) }} of its strength by water carried in.</p>
          <p class="mt-2 text-quiet">
            Mixed {{ showMoment(bottle.madeAt, zone) }} by {{ bottle.madeBy }}, formula version {{ bottle.formulaNumber
            }}{{ bottle.ph === null ? '' : `, pH ${bottle.ph.toFixed(1)}` }} · code
            <b class="font-mono">{{ bottle.code }}</b>
          </p>
          <p v-if="bottle.batchNote" class="mt-1">{{ bottle.batchNote }}</p>
          <div v-if="session.isTechnician && bottle.retiredAt === null" class="mt-6 flex flex-wrap gap-3">
            <button v-if="canDilute" class="button button-main" @click="open('dilute')">Make working strength</button>
            <button v-if="canTally" class="button" :class="canDilute ? '' : 'button-main'" @click="open('use')">Poured back, tally</button>
            <button class="button" @click="open('pour')">Pour or top up</button>
            <PrintLabels :bottles="[bottle.id]" name="Print its label" />
            <button class="button" @click="open('retire')">Retire {{ bottle.label }}</button>
          </div>
        </section>
        <section aria-labelledby="ledger">
          <h2 id="ledger" class="mb-2 text-2xl font-bold">Ledger</h2>
          <div class="overflow-x-auto">
            <table class="w-full border-collapse text-left">
              <thead>
                <tr class="border-b-2 border-ink">
                  <th class="py-2 pr-3">When, who</th>
                  <th class="pr-3">What</th>
                  <th class="pr-3 text-right">Change</th>
                  <th class="pr-3 text-right">Holds</th>
                  <th><span class="sr-only">Take back</span></th>
                </tr>
              </thead>
              <tbody>
                <tr
                  v-for="entry in bottle.ledger"
                  :key="entry.id"
                  class="border-b border-line align-top"
                  :class="entry.reversedBy || entry.kind === 'reverse' ? 'text-quiet' : ''"
                >
                  <td class="py-2 pr-3">
                    {{ showMoment(entry.at, zone) }}<br /><span class="text-quiet">{{ entry.by }}</span>
                  </td>
                  <td class="py-2 pr-3">
                    <span :class="entry.reversedBy ? 'line-through' : 'font-semibold'">{{ entryWords(entry) }}</span>
                    <RouterLink v-if="entry.runId && session.isTechnician" class="link ml-1" :to="`/tanks/${entry.runId}`"
                      >run {{ entry.runNumber }}</RouterLink
                    >
                    <span v-if="entry.reversedBy"> taken back</span>
                    <span v-if="entry.note" class="block text-quiet">{{ entry.note }}</span>
                  </td>
                  <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">
                    {{ entry.ml === 0 ? '' : `${entry.ml > 0 ? '+' : '−'}${volume(Math.abs(entry.ml))}` }}
                  </td>
                  <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">{{ volume(entry.balanceMl) }}</td>
                  <td class="py-1 text-right">
                    <button
                      v-if="session.isTechnician && !entry.reversedBy && entry.kind !== 'reverse' && entry.kind !== 'fill'"
                      class="link min-h-11 whitespace-nowrap"
                      :aria-label="`Take back: ${entryWords(entry)}`"
                      @click="takeBack(entry)"
                    >
                      take back
                    </button>
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
        </section>
      </div>

      <DilutePanel v-if="panel === 'dilute'" :bottle="bottle" @close="panel = null" @made="panel = null" />
      <PourPanel
        v-if="panel === 'pour' || panel === 'use'"
        :bottle="bottle"
        :tally="panel === 'use'"
        @close="panel = null"
        @done="poured"
      />
      <ModalPanel :open="wrong !== null" :title="wrong ? `Take back: ${entryWords(wrong)}` : ''" @close="wrong = null">
        <form class="space-y-4" @submit.prevent="reverse">
          <p>The line stays readable; a second line takes it back.</p>
          <TextField v-model="why" label="What was wrong with it?" />
          <ProblemLine :problem="problem" />
          <div class="flex gap-3">
            <button class="button button-main" :disabled="busy">Take it back</button>
            <button type="button" class="button" @click="wrong = null">Leave it</button>
          </div>
        </form>
      </ModalPanel>
      <ModalPanel :open="panel === 'retire'" :title="`Retire ${bottle.label} ${bottle.name}`" @close="panel = null">
        <form class="space-y-4" @submit.prevent="retire">
          <p>
            It cannot be poured any more. What it still holds goes to the waste for its kind: fixers to the silver drum, never down the
            drain with developer.
          </p>
          <TextField v-model="why" label="Why?" />
          <ProblemLine :problem="problem" />
          <div class="flex gap-3">
            <button class="button button-main" :disabled="busy">Retire {{ bottle.label }}</button>
            <button type="button" class="button" @click="panel = null">Keep it</button>
          </div>
        </form>
      </ModalPanel>
    </template>
    <p v-else class="text-quiet" role="status">Fetching the bottle as of {{ showMoment(now(), zone) }} …</p>
  </div>
</template>
