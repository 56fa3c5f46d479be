<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BoxOfPaper, Enlarger, Paper } from '@selvrin/core/contract'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import BoxPanel from './BoxPanel.vue'
import CalibrationList from './CalibrationList.vue'
import CountBox from './CountBox.vue'
import EnlargerPanel from './EnlargerPanel.vue'
import PaperPanel from './PaperPanel.vue'
import { useRoom } from './useRoom'
import { gradeName, turnWords } from './words'

/** Papers with the boxes of them, and the enlargers. */
const view = useRoom()
const { page, there } = view
const show = useShow()
const session = useSession()
const papering = ref<{ paper: Paper | null } | null>(null)
const enlarging = ref<{ enlarger: Enlarger | null } | null>(null)
const bringing = ref<Paper | null>(null)
const counting = ref<BoxOfPaper | null>(null)
const boxesOf = (paper: Paper) => (there.value?.boxes ?? []).filter((one) => one.paperId === paper.id)
const papers = computed(() => there.value?.papers ?? [])
const prints = { 'black-and-white': '', negative: 'colours from negatives', reversal: 'colours from slides' }
const gradeWords = ({ material, grade }: Paper): string => prints[material] || (grade === null ? 'variable' : `grade ${gradeName(grade)}`)
const labelWords = ({ label }: BoxOfPaper): string => (label ? `, its label ${turnWords(label)} ×${show.number(label.factor, 2)}` : '')
const paperWords = (paper: Paper): string =>
  [
    paper.base === 'rc' ? 'resin-coated' : 'fibre',
    gradeWords(paper),
    paper.speed === null ? 'speed not measured' : `speed ${show.plain(paper.speed)}`,
    `darkens ${show.plain(100 * paper.dryDown)} % in drying`,
  ].join(', ')
const filterKind = ({ filters }: Enlarger): string =>
  filters.kind === 'set'
    ? 'filters of a set'
    : `${filters.kind === 'single' ? 'one dial at a time' : 'two dials'}, to ${show.plain(filters.max)}`
const enlargerWords = (one: Enlarger): string =>
  [
    filterKind(one),
    `lamp lags ${show.number(one.lagS, 2)} s`,
    ...one.lenses.map((lens) => `${show.plain(lens.focalMm)} mm${lens.name ? ` ${lens.name}` : ''}`),
  ].join(', ')
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/trays" class="link inline-flex min-h-11 items-center">← Trays</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-4">
      <h1 class="text-3xl font-bold">Papers and enlargers</h1>
      <RouterLink v-if="session.isTechnician" to="/formulary/exchange?kind=papers" class="button button-small">Files</RouterLink>
    </div>
    <PageState
      v-if="!there"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="papers and enlargers"
      back="To the Trays"
      back-to="/trays"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <section class="mb-8" aria-labelledby="papers">
        <div class="mb-2 flex flex-wrap items-center gap-4">
          <h2 id="papers" class="text-2xl font-bold">Papers</h2>
          <button v-if="session.isTechnician" type="button" class="button" @click="papering = { paper: null }">A new paper</button>
        </div>
        <p v-if="papers.length === 0" class="text-lg">None yet.</p>
        <article v-for="paper in papers" :key="paper.id" class="mb-4 border-b border-line pb-3">
          <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
            <h3 class="text-xl font-bold">{{ paper.name }}</h3>
            <p class="min-w-64 flex-1 text-quiet">{{ paperWords(paper) }}</p>
            <button v-if="session.isTechnician" type="button" class="button button-small" @click="papering = { paper }">
              Change<span class="sr-only"> {{ paper.name }}</span>
            </button>
            <button v-if="session.isTechnician" type="button" class="button button-small" @click="bringing = paper">
              A box came in<span class="sr-only">: {{ paper.name }}</span>
            </button>
          </div>
          <ul>
            <li v-for="box in boxesOf(paper)" :key="box.id" class="flex flex-wrap items-center gap-x-4 py-1">
              <b class="min-w-40 font-mono">{{ show.plain(box.widthCm) }} × {{ show.plain(box.heightCm) }} cm</b>
              <span>{{ show.plain(Number(box.left.toFixed(2))) }} of {{ box.sheets }} sheets left</span>
              <span class="text-quiet"
                >{{ box.batch ? `batch ${box.batch}, ` : '' }}{{ box.price === null ? 'no price' : show.number(box.price, 2)
                }}{{ labelWords(box) }}</span
              >
              <button v-if="session.isTechnician" type="button" class="button button-small ml-auto" @click="counting = box">
                Count it<span class="sr-only">: {{ paper.name }}, {{ show.plain(box.widthCm) }} cm</span>
              </button>
            </li>
          </ul>
        </article>
      </section>
      <section aria-labelledby="enlargers">
        <div class="mb-2 flex flex-wrap items-center gap-4">
          <h2 id="enlargers" class="text-2xl font-bold">Enlargers</h2>
          <button v-if="session.isTechnician" type="button" class="button" @click="enlarging = { enlarger: null }">A new enlarger</button>
        </div>
        <p v-if="there.enlargers.length === 0" class="text-lg">None yet.</p>
        <ul>
          <li v-for="one in there.enlargers" :key="one.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
            <b class="text-xl">{{ one.name }}</b>
            <span class="min-w-64 flex-1 text-quiet">{{ enlargerWords(one) }}</span>
            <button v-if="session.isTechnician" type="button" class="button button-small" @click="enlarging = { enlarger: one }">
              Change<span class="sr-only"> {{ one.name }}</span>
            </button>
          </li>
        </ul>
      </section>
      <CalibrationList :room="view" />
      <PaperPanel v-if="papering" :paper="papering.paper" @close="((papering = null), page.load())" />
      <EnlargerPanel v-if="enlarging" :enlarger="enlarging.enlarger" @close="((enlarging = null), page.load())" />
      <BoxPanel v-if="bringing" :paper="bringing" @close="((bringing = null), page.load())" />
      <CountBox v-if="counting" :box="counting" @close="((counting = null), page.load())" />
    </template>
  </div>
</template>
