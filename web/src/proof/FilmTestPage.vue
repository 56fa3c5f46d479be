<script setup lang="ts">
import { guideOf, judge, testKinds, type TestKind } from '@selvrin/core'
import { api, type Proof } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { usePaged } from '../api/usePaged'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import GuideSteps from './GuideSteps.vue'
import TestHead from './TestHead.vue'
import VerdictPanel from './VerdictPanel.vue'
import { useTyped } from '../hand/typed'

/** Is a finished film or print fixed, is it washed: the drop tests. */
const route = useRoute()
const session = useSession()
const films = usePaged(api.run.rolls, () => ({}), { subject: 'roll', holds: () => true, atOnce: 60 })
const { busy, problem, act } = useAction()
const typing = useTyped()
const kind = computed(() => testKinds.find((one) => one === route.params.kind && guideOf(one).of === 'film') as TestKind | undefined)
const guide = computed(() => (kind.value ? guideOf(kind.value) : null))
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const rollId = ref<string | null>(typeof route.query.film === 'string' ? route.query.film : null)
const phase = ref<'steps' | 'reading' | 'written'>('steps')
const look = ref<string | null>(null)
const proofId = ref(uuid())
const written = shallowRef<Proof | null>(null)
const choices = computed(() =>
  films.rows.value.map((roll) => ({
    value: roll.id,
    name: `${roll.film}, ${roll.member}`,
    detail: `run ${roll.runNumber ?? '–'}, ${showDate(roll.at, zone.value)}`,
  })),
)
const judged = computed(() => (kind.value && look.value !== null ? judge(kind.value, { look: look.value }, { reference: null }) : null))
async function write(): Promise<void> {
  const [asked, film, seen] = [kind.value, rollId.value, look.value]
  if (!asked || film === null || seen === null) {
    problem.value = 'Choose the film and what you see.'
    return
  }
  const good = await act(async () => {
    written.value = (await call(api.proof.write, { body: { id: proofId.value, kind: asked, rollId: film, reading: { look: seen } } })).proof
  })
  if (!good) return
  typing.kept()
  phase.value = 'written'
}
</script>

<template>
  <div class="station">
    <RouterLink to="/proofs" class="link inline-flex min-h-11 items-center">← Proofs</RouterLink>
    <p v-if="!guide || !kind" class="text-xl">There is no such test.</p>
    <template v-else>
      <h1 class="mb-4 text-3xl font-bold">{{ guide.name }}</h1>
      <TestHead v-if="phase === 'steps'" :guide="guide" />
      <GuideSteps v-if="phase === 'steps'" :guide="guide" :normal-s="null" @done="phase = 'reading'" />
      <div v-else class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-10 max-lg:grid-cols-1">
        <form v-if="phase === 'reading'" class="space-y-5" @submit.prevent="write">
          <ChoiceField v-model="rollId" label="Which film" :choices="choices" />
          <PressOne v-model="look" label="What is seen" :choices="guide.looks" size="large" />
          <ProblemLine :problem="problem" />
          <button class="button button-main" :disabled="busy || look === null || rollId === null">Write it down</button>
        </form>
        <div v-else class="space-y-3 text-lg">
          <p v-if="written?.judgement.verdict === 'failed'">The film’s record is marked and its owner is told.</p>
          <p v-else>It stands in the film’s tests.</p>
          <RouterLink to="/proofs" class="button">To what is due</RouterLink>
        </div>
        <VerdictPanel v-if="judged" :kind="kind" :judgement="judged" :reading="null" />
      </div>
    </template>
  </div>
</template>
