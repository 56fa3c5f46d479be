<script setup lang="ts">
import { sinkApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { showMoney } from '../formula/missing'
import { showDate } from '../marks/words'
import FindingList from '../marks/FindingList.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import RecoverPanel from './RecoverPanel.vue'
import { useSink } from './useSink'

/** Where the silver is, what was recovered, and what that is worth. */
const session = useSession()
const show = useShow()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const view = useSink()
const { page, sink } = view
const log = usePage(
  (signal) => call(sinkApi.recoveries, { query: { limit: 50 }, signal }),
  (event) => event.subject === 'sink',
)
void log.load()
const writing = ref(false)
const sums = usePage(
  (signal) => call(sinkApi.silver, { signal }),
  (event) => event.subject === 'sink' || event.subject === 'drum' || event.subject === 'waste',
)
void sums.load()
const silver = computed(() => sums.value.value)
const grams = (amount: number): string => (amount < 0.005 ? 'none' : show.mass(amount))
const worth = (grams: number): string => {
  if (grams < 0.005) return ''
  const price = sink.value?.facts.silverPerG ?? null
  return price === null ? '' : `, about ${showMoney(price * grams, session.darkroom?.currency ?? 'EUR')}`
}
const { busy, problem, act } = useAction({ keeps: false })
const takeBack = (id: string) =>
  act(async () => {
    await call(sinkApi.recoverBack, { params: { id }, body: { entryId: uuid() } })
    await Promise.all([log.load(), sums.load()])
  })
const methods = { electrolysis: 'by current', exchange: 'by metal exchange' }
const closed = (): void => {
  writing.value = false
  void log.load()
  void page.load()
  void sums.load()
}
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-4">
      <h1 class="text-3xl font-bold">Silver</h1>
      <button type="button" class="button button-main ml-auto" @click="writing = true">Write a recovery down</button>
    </div>
    <PageState
      v-if="!sink || !silver"
      :missing="page.missing.value || sums.missing.value"
      :problem="page.problem.value || sums.problem.value"
      what="the silver"
      back="To the Sink"
      back-to="/sink"
    />
    <template v-else>
      <dl class="mb-5 grid grid-cols-[repeat(auto-fill,minmax(14rem,1fr))] gap-x-8 gap-y-3">
        <div>
          <dt class="text-quiet">in fixers in use</dt>
          <dd class="text-3xl font-bold">{{ grams(silver.inUseG) }}</dd>
        </div>
        <div>
          <dt class="text-quiet">in the drums</dt>
          <dd class="text-3xl font-bold">{{ grams(silver.inDrumsG) }}</dd>
          <dd>± 30 %{{ worth(silver.inDrumsG) }}</dd>
        </div>
        <div>
          <dt class="text-quiet">poured away in {{ silver.year }}</dt>
          <dd class="text-3xl font-bold">{{ grams(silver.pouredG) }}</dd>
          <dd>{{ worth(silver.pouredG).replace(', ', '') }}</dd>
        </div>
        <div>
          <dt class="text-quiet">recovered in {{ silver.year }}</dt>
          <dd class="text-3xl font-bold">{{ grams(silver.recoveredG) }}</dd>
          <dd>{{ worth(silver.recoveredG).replace(', ', '') }}</dd>
        </div>
      </dl>
      <p class="mb-5 text-quiet">
        By what was fixed; a silver test of a fixer replaces the estimate from then on.
        <RouterLink v-if="sink.facts.silverPerG === null" to="/sink/facts" class="link">Say what a gram is worth</RouterLink>
      </p>
      <p class="mb-3 border-l-4 border-ink pl-3">
        {{
          show.said(
            'Current: pH 5 to 8, under the hood, stop at 0.5 g/L or as soon as it browns or smells. Metal exchange: never with ferricyanide or strong acid. Never by sulfide. Recovered fixer is still waste.',
          )
        }}
      </p>
      <ProblemLine :problem="problem || log.problem.value" />
      <h2 class="mb-1 text-2xl font-bold">Recovered</h2>
      <p v-if="log.value.value?.rows.length === 0" class="text-lg">Nothing was recovered yet.</p>
      <ul>
        <li
          v-for="row in log.value.value?.rows ?? []"
          :key="row.id"
          class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2"
        >
          <b class="min-w-24 font-mono text-xl">{{ show.mass(row.foundG) }}</b>
          <span class="min-w-64 flex-1"
            >{{ methods[row.body.method] }}, {{ show.volume(1000 * row.body.litres) }} from {{ show.concentration(row.body.inGPerL) }} to
            {{ show.concentration(row.body.outGPerL) }}{{ row.drum === null ? '' : `, drum ${row.drum}` }}
            <span class="block text-quiet">{{ showDate(row.at, zone) }}, {{ row.by }}{{ row.body.note ? `: ${row.body.note}` : '' }}</span>
            <FindingList :findings="row.findings" />
          </span>
          <button type="button" class="button button-small" :disabled="busy" @click="takeBack(row.id)">
            Take back<span class="sr-only">: {{ show.mass(row.foundG) }}, {{ showDate(row.at, zone) }}</span>
          </button>
        </li>
      </ul>
      <RecoverPanel v-if="writing" :view="view" @close="closed" />
    </template>
  </div>
</template>
