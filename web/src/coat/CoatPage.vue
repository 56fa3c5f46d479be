<script setup lang="ts">
import { coatCautions, coatStanding, coatedProcesses, showTime } from '@selvrin/core'
import { computed, ref } from 'vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { lightWords, partName, processNames, sheetWords, stageWords } from './coatWords'
import FindCoated from './FindCoated.vue'
import LampTable from './LampTable.vue'
import SheetPanel from './SheetPanel.vue'
import { useCoating } from './useCoating'

/** The coating bench: prints that are coated by hand, the bottles and the lamps for them. */
const view = useCoating()
const { page, there, lamps } = view
const show = useShow()
const session = useSession()
const beginning = ref(false)
const sheets = computed(() => there.value?.sheets ?? [])
const stageOf = (one: (typeof sheets.value)[number]): string => stageWords(coatStanding(one.body.process, one.acts).stage)
const cautions = [...new Set(coatedProcesses.flatMap((one) => coatCautions(one)))]
</script>

<template>
  <div class="station">
    <div class="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
      <RouterLink to="/trays" class="link inline-flex min-h-11 items-center">← Trays</RouterLink>
      <h1 class="text-3xl font-bold">Hand-coated</h1>
      <p v-if="there" class="text-lg text-quiet" role="status">
        {{
          sheets.length === 0
            ? 'nothing in the making'
            : sheets.length === 1
              ? 'one print in the making'
              : `${sheets.length} prints in the making`
        }}
      </p>
      <RouterLink v-if="session.isTechnician" to="/formulary/exchange?kind=coated" class="button button-small ml-auto">Files</RouterLink>
      <button v-if="there" type="button" class="button button-main" data-next @click="beginning = true">Begin a print</button>
    </div>
    <PageState
      v-if="!there"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the coating bench"
      back="To the Trays"
      back-to="/trays"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <ul v-if="sheets.length > 0" class="mb-8 flex flex-wrap gap-3" aria-label="In the making">
        <li v-for="one in sheets" :key="one.id">
          <RouterLink :to="`/trays/coated/${one.id}`" class="block w-80 border-2 border-line bg-panel p-4 hover:border-ink max-sm:w-full">
            <b class="block text-2xl">{{ one.body.title }}</b>
            <span class="block font-semibold">{{ stageOf(one) }}</span>
            <span class="block text-quiet">{{ sheetWords(one.body, show.plain) }}</span>
            <span class="block text-quiet">{{ one.member }}</span>
          </RouterLink>
        </li>
      </ul>
      <div class="mb-8 grid grid-cols-2 gap-x-10 gap-y-8 max-lg:grid-cols-1">
        <section aria-labelledby="bench">
          <h2 id="bench" class="mb-2 text-2xl font-bold">On the shelf for it</h2>
          <p v-if="there.bench.length === 0" class="text-lg">
            No sensitizer stands on the shelf. Its parts are in the <RouterLink to="/formulary" class="link">Formulary</RouterLink>, and are
            weighed at the <RouterLink to="/scales" class="link">Scales</RouterLink>.
          </p>
          <ul>
            <li v-for="one in there.bench" :key="one.id" class="flex items-center gap-x-3 border-b border-line py-1">
              <RouterLink :to="`/shelf/${one.id}`" class="link inline-flex min-h-11 min-w-11 items-center font-bold">{{
                one.label
              }}</RouterLink>
              <span class="min-w-0 flex-1"
                >{{ one.name
                }}<span class="block text-quiet"
                  >{{ one.processes.map((process) => processNames[process]).join(', ') }}: {{ partName(one.part) }}</span
                ></span
              >
              <span class="font-mono whitespace-nowrap">{{ show.volume(one.ml) }}</span>
            </li>
          </ul>
        </section>
        <section aria-labelledby="times">
          <h2 id="times" class="mb-2 text-2xl font-bold">Last exposures</h2>
          <p v-if="there.last.length === 0" class="text-lg">None yet: a strip finds the first.</p>
          <ul>
            <li
              v-for="one in there.last"
              :key="`${one.process} ${one.paper}`"
              class="flex flex-wrap items-baseline gap-x-3 border-b border-line py-2"
            >
              <b class="font-mono">{{ showTime(one.seconds) }}</b>
              <span class="min-w-48 flex-1">{{ processNames[one.process] }} on {{ one.paper }}</span>
              <span class="text-quiet">{{ lightWords(one.light, show.plain) }}; print {{ one.number }}</span>
            </li>
          </ul>
        </section>
      </div>
      <LampTable class="mb-8" :lamps="lamps" @changed="page.load()" />
      <section class="mb-8 border-l-4 border-alarm pl-4" aria-labelledby="care">
        <h2 id="care" class="text-xl font-bold">With care</h2>
        <p v-for="one in cautions" :key="one" class="max-w-4xl">{{ one }}</p>
        <p class="max-w-4xl">
          First washes with silver, platinum or palladium go into the drum of their metal; local rules and the supplier’s safety sheet
          decide.
        </p>
      </section>
      <FindCoated />
      <SheetPanel v-if="beginning" :sheet="null" :like="sheets[0] ?? null" @close="beginning = false" />
    </template>
  </div>
</template>
