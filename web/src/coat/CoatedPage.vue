<script setup lang="ts">
import { scaleOfSheet, showTime } from '@selvrin/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { bathOf, standsBefore } from '../aid/before'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import FindingList from '../marks/FindingList.vue'
import { useShow } from '../session/useShow'
import BathCard from './BathCard.vue'
import { lightWords, partName, sheetWords, stageWords } from './coatWords'
import DryCard from './DryCard.vue'
import PourCard from './PourCard.vue'
import SheetPanel from './SheetPanel.vue'
import TakeBack from './TakeBack.vue'
import { useCoated } from './useCoated'
import UvCard from './UvCard.vue'

/** A hand-coated print: what is to be done now, and what was done. */
const view = useCoated(String(useRoute().params.id))
const { page, sheet, standing, findings } = view
const show = useShow()
const changing = ref(false)
const coat = computed(() => {
  const one = sheet.value?.acts.find(({ act }) => act.kind === 'coat')
  return one?.act.kind === 'coat' ? { poured: one.act.poured, cost: one.cost, at: one.at } : null
})
// what was poured onto it, else what stands on the bench for it
standsBefore(() => {
  const process = sheet.value?.body.process
  const poured = new Set(coat.value?.poured.map((one) => one.bottleId))
  return (view.bench.there.value?.bench ?? [])
    .filter((one) => (poured.size > 0 ? poured.has(one.id) : process !== undefined && one.processes.includes(process)))
    .map((one) => ({ name: `${one.label} ${partName(one.part)}`, bottleId: one.id, of: bathOf('sensitizer') }))
})
/** sensitizer and paper; null where one of them is not known */
const cost = computed(() => {
  const paper = sheet.value?.body.paperPrice
  return coat.value === null || coat.value.cost === null || paper == null ? null : coat.value.cost + paper
})
const costWords = computed(() => {
  if (!coat.value) return ''
  const { cost: sensitizer } = coat.value
  const parts = [
    sensitizer === null ? 'sensitizer without a price in its jars' : `sensitizer ${show.number(sensitizer, 2)}`,
    sheet.value?.body.paperPrice == null ? 'paper without a price' : `paper ${show.number(sheet.value.body.paperPrice, 2)}`,
  ]
  return `${cost.value === null ? '' : `${show.number(cost.value, 2)}: `}${parts.join(', ')}`
})
</script>

<template>
  <div class="station">
    <RouterLink to="/trays/coating" class="link inline-flex min-h-11 items-center">← Hand-coated</RouterLink>
    <PageState
      v-if="!sheet || !standing"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the print"
      back="To the hand-coated prints"
      back-to="/trays/coating"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-1">
        <h1 class="text-3xl font-bold">{{ sheet.body.title }}</h1>
        <p class="text-lg font-semibold" data-stage>{{ stageWords(standing.stage) }}</p>
        <button v-if="standing.stage !== 'done'" type="button" class="button button-small ml-auto" @click="changing = true">
          Change it
        </button>
      </div>
      <div class="grid grid-cols-[minmax(0,1fr)_20rem] gap-x-10 gap-y-6 max-lg:grid-cols-1">
        <div>
          <FindingList v-if="findings.length > 0" class="mb-4" :findings="findings" />
          <PourCard v-if="standing.stage === 'coat'" :view="view" />
          <DryCard v-else-if="standing.stage === 'dry'" :view="view" />
          <UvCard v-else-if="standing.stage === 'expose'" :view="view" />
          <BathCard v-else-if="standing.stage === 'process'" :view="view" />
          <template v-else>
            <p class="mb-4 text-2xl">{{ standing.said || 'Nothing was said of it.' }}</p>
            <ProblemLine :problem="view.problem.value" />
            <TakeBack :view="view" />
          </template>
        </div>
        <aside aria-label="What is known of it" class="space-y-2">
          <p>{{ sheetWords(sheet.body, show.plain) }}</p>
          <p class="text-quiet">Print {{ sheet.number }}, {{ sheet.member }}</p>
          <p v-if="sheet.body.negative">{{ sheet.body.negative }}</p>
          <p>
            The negative
            {{ sheet.body.range === null ? 'was not measured' : `has a range of ${show.number(sheet.body.range, 2)}` }}; this prints
            <b class="font-mono">{{ show.number(scaleOfSheet(sheet.body), 2) }}</b>.
          </p>
          <p v-if="coat">
            Coated with
            <template v-for="(one, i) in coat.poured" :key="one.part"
              >{{ i > 0 ? ', ' : '' }}<b class="font-mono">{{ one.drops }}</b> {{ partName(one.part) }}</template
            >.
          </p>
          <p v-if="standing.strip" class="text-quiet">
            Strip from {{ showTime(standing.strip.steps.firstS)
            }}{{ standing.strip.seconds === null ? ', not read yet' : `, read ${showTime(standing.strip.seconds)}` }}
          </p>
          <p v-if="standing.exposed">
            Exposed <b class="font-mono">{{ showTime(standing.exposed.seconds) }}</b>, {{ lightWords(standing.exposed.light, show.plain) }}.
          </p>
          <p v-if="coat">Costs {{ costWords }}.</p>
        </aside>
      </div>
      <SheetPanel
        v-if="changing"
        :sheet="sheet"
        :like="null"
        :begun="standing.stage !== 'coat'"
        @kept="page.take"
        @close="changing = false"
      />
    </template>
  </div>
</template>
