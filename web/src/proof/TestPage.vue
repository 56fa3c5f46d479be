<script setup lang="ts">
import { computed, ref } from 'vue'
import RetirePanel from '../bottle/RetirePanel.vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import SpokenLine from '../fields/SpokenLine.vue'
import TextField from '../fields/TextField.vue'
import BathMark from '../marks/BathMark.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import AfterTest from './AfterTest.vue'
import GuideSteps from './GuideSteps.vue'
import ReadingFields from './ReadingFields.vue'
import TestHead from './TestHead.vue'
import TestsBefore from './TestsBefore.vue'
import { useTest } from './useTest'
import VerdictPanel from './VerdictPanel.vue'
import { part } from '../part/part'

const TrendChart = part(() => import('./TrendChart.vue'))
const show = useShow()
const session = useSession()
const of = useTest()
const { kind, guide, bottle, context, page, phase, note, written, judged, trend, busy, problem, sent, stop, read, write, again } = of
const { value, fresh } = of.said
const { missing, load } = page
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const measuring = ref(false)
const retiring = ref(false)
/** heard once the typing pauses, and when it is written */
const verdictWords = { keep: 'Keep', marginal: 'Marginal', failed: 'Failed' }
const spoken = computed(() => {
  const found = written.value?.proof.judgement ?? judged.value.judgement
  return found ? show.said(`${written.value ? 'Written down. ' : ''}${verdictWords[found.verdict]}. ${found.reason}`) : ''
})
</script>

<template>
  <div class="station">
    <SpokenLine :says="spoken" />
    <RouterLink to="/proofs" class="link inline-flex min-h-11 items-center">← Proofs</RouterLink>
    <p v-if="!guide || !kind" class="text-xl">There is no such test.</p>
    <template v-else-if="bottle && context">
      <header class="mb-4 flex flex-wrap items-center gap-x-6 gap-y-2">
        <h1 class="text-3xl font-bold">{{ guide.name }}</h1>
        <RouterLink :to="`/shelf/${bottle.id}`" class="go gap-2 text-xl">
          <BathMark :family="bottle.family" :size="28" /> {{ bottle.label }} {{ bottle.name }}
        </RouterLink>
      </header>
      <TestHead v-if="phase === 'steps'" :guide="guide" />
      <GuideSteps v-if="phase === 'steps'" :guide="guide" :normal-s="context.usualS" @done="read" />

      <form
        v-else-if="phase === 'reading'"
        class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-10 max-lg:grid-cols-1"
        @submit.prevent="write"
      >
        <div class="space-y-5" :class="kind === 'scrap-density' ? 'col-span-2 max-lg:col-span-1' : ''">
          <ReadingFields v-model:measuring="measuring" :of="of" :kind="kind" :guide="guide" />
          <TextField v-model="note" label="Note, if any" />
          <ProblemLine :problem="problem || judged.problem" />
          <ProgressBar
            v-if="sent !== null"
            :words="sent < 1 ? 'Sending the picture' : 'Writing it down'"
            :share="sent"
            :stoppable="sent < 1"
            @stop="stop"
          />
          <div class="flex flex-wrap gap-3">
            <button class="button button-main" :disabled="busy || measuring || !judged.judgement">Write it down</button>
            <button type="button" class="button" @click="phase = 'steps'">Back to the steps</button>
          </div>
        </div>
        <div>
          <p v-if="fresh && judged.judgement" class="text-2xl">
            It becomes the fresh reading every later test of this batch is held against.
          </p>
          <VerdictPanel v-else-if="judged.judgement" :kind="kind" :judgement="judged.judgement" :reading="value" />
          <p v-else class="text-lg text-quiet">The verdict follows the reading.</p>
        </div>
      </form>

      <div v-else-if="written" class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-10 max-lg:grid-cols-1">
        <div class="space-y-5">
          <VerdictPanel :kind="kind" :judgement="written.proof.judgement" :reading="written.proof.reading.value ?? null" />
          <AfterTest
            :proof="written.proof"
            :suspects="written.suspects"
            :bottle="bottle"
            :zone="zone"
            @retire="retiring = true"
            @again="again"
            @changed="load"
          />
        </div>
        <TrendChart v-if="trend" :trend="trend" />
      </div>

      <TestsBefore v-if="phase !== 'written'" :kind="kind" :proofs="context.proofs" :trend="trend" :zone="zone" @changed="load" />
      <RetirePanel
        v-if="retiring"
        :bottle="bottle"
        :why="written?.proof.judgement.reason ?? ''"
        @close="retiring = false"
        @done="((retiring = false), load())"
      />
    </template>
    <PageState v-else :missing="missing" :problem="page.problem.value" what="the bottle" back="Back to what is due" back-to="/proofs" />
  </div>
</template>
