<script setup lang="ts">
import { faultNames, showTime } from '@selvrin/core'
import { api, type Pair } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import FindField from '../fields/FindField.vue'
import LongTable, { type LongColumn } from '../fields/LongTable.vue'
import { matches } from '../fields/matches'
import WaitFor from '../fields/WaitFor.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import ProposalPanel from './ProposalPanel.vue'
import { cameWords, percentWords } from './pairWords'

/** How the films of each kind come out in each developer, and the times that proposes for the chart. */
const session = useSession()
const show = useShow()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const page = usePage(
  (signal) => call(api.film.pairs, { signal }),
  (event) => event.subject === 'roll' || event.subject === 'chart',
)
void page.load()
const pairs = computed(() => page.value.value?.rows ?? [])
const find = ref('')
const shown = computed(() => pairs.value.filter((pair) => matches(`${pair.film} EI ${pair.ei} ${pair.developer}`, find.value)))
const offered = computed(() => pairs.value.filter((pair) => pair.proposal?.offered).length)
const columns: LongColumn<Pair>[] = [
  { id: 'film', name: 'Film', by: (pair) => `${pair.film} ${String(pair.ei).padStart(6, '0')}`, stays: true, class: 'min-w-36' },
  { id: 'developer', name: 'In', by: (pair) => pair.developer, class: 'min-w-40' },
  { id: 'films', name: 'Films', by: (pair) => pair.films, class: 'text-right' },
  { id: 'came', name: 'Came out', class: 'min-w-52' },
  { id: 'time', name: 'Time', by: (pair) => pair.meanS, class: 'text-right' },
  { id: 'last', name: 'Last', by: (pair) => pair.lastAt, class: 'min-w-28' },
  { id: 'proposal', name: 'What that says of the time', by: (pair) => (pair.proposal ? pair.proposal.factor : null), class: 'min-w-48' },
]
const notOffered = (factor: number) => (percentWords(factor) === percentWords(1) ? percentWords(1) : `${percentWords(factor)}, not sure`)
const openKey = ref<string | null>(null)
const open = computed(() => pairs.value.find((pair) => pair.key === openKey.value && pair.proposal) ?? null)
const state = computed(() => ({ loaded: page.value.value !== null, problem: page.problem.value }))
</script>

<template>
  <div class="station">
    <RouterLink to="/films" class="link inline-flex min-h-11 items-center">← All films</RouterLink>
    <h1 class="mb-2 text-3xl font-bold">How films come out</h1>
    <WaitFor :of="[state]" what="the films">
      <p v-if="pairs.length === 0" class="text-xl">
        No film was developed here yet. Once some are, and somebody says how they came out, their times are looked at here.
      </p>
      <template v-else>
        <p class="mb-3 text-lg">
          {{
            offered === 0
              ? 'Nothing speaks against a charted time: a pair says something from three films on, and the more they agree.'
              : `${offered === 1 ? 'One charted time' : `${offered} charted times`} could be better: marked ▲. Nothing is changed before you take it.`
          }}
        </p>
        <FindField
          v-model="find"
          class="mb-3 max-w-sm"
          label="Find a film or a developer"
          kept="pairs"
          :count="shown.length"
          :of="pairs.length"
          what="pairs"
        />
        <p v-if="shown.length === 0" class="text-xl">No pair like that.</p>
        <LongTable v-else label="Films and developers" :rows="shown" :columns="columns" :row-key="(pair) => pair.key" :row-height="72">
          <template #cell="{ row: pair, column }">
            <template v-if="column.stays"
              >{{ pair.film }} <span class="block font-normal text-quiet">EI {{ pair.ei }}</span></template
            >
            <template v-else-if="column.id === 'developer'">{{ pair.developer || 'not said' }}</template>
            <b v-else-if="column.id === 'films'" class="font-mono">{{ pair.films }}</b>
            <template v-else-if="column.id === 'came'"
              >{{ cameWords(pair)
              }}<span v-if="pair.faults.length > 0" class="block text-quiet">{{
                pair.faults.map((one) => `${faultNames[one.fault]} ${one.films}`).join(', ')
              }}</span></template
            >
            <span v-else-if="column.id === 'time'" class="whitespace-nowrap"
              ><b class="font-mono">{{ pair.meanS === null ? '—' : showTime(pair.meanS, 5) }}</b
              ><span v-if="pair.meanC !== null" class="block text-quiet">{{
                show.temperature(Math.round(pair.meanC * 10) / 10)
              }}</span></span
            >
            <template v-else-if="column.id === 'last'">{{ showDate(pair.lastAt, zone) }}</template>
            <template v-else-if="pair.proposal">
              <button
                v-if="pair.proposal.offered"
                type="button"
                class="link min-h-11 text-left font-bold"
                :aria-label="`${percentWords(pair.proposal.factor)}: look at the proposed time of ${pair.film} in ${pair.developer}`"
                @click="openKey = pair.key"
              >
                <span aria-hidden="true">▲ </span>{{ percentWords(pair.proposal.factor) }}
              </button>
              <template v-else>{{ notOffered(pair.proposal.factor) }}</template>
              <span class="block text-quiet">{{ pair.proposal.films }} films</span>
            </template>
            <span v-else class="text-quiet">too few say so</span>
          </template>
        </LongTable>
      </template>
    </WaitFor>
    <ProposalPanel v-if="open" :pair="open" @close="openKey = null" @taken="page.load()" />
  </div>
</template>
