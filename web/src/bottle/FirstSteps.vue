<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import WaitFor from '../fields/WaitFor.vue'
import { useKept } from '../fields/useKept'
import { useSession } from '../session/store'
import { useBottles, useChart, useFormulas, useJars, usePeople, useVessels } from '../stores'

/** An empty house is led: what there is to do until the first bottle stands, each step with its page, and each to be left out. */
const session = useSession()
const [people, vessels, formulas, jars, chart, bottles] = [usePeople(), useVessels(), useFormulas(), useJars(), useChart(), useBottles()]
const lists = [people, vessels, formulas, jars, chart, bottles]
onMounted(() => void Promise.all(lists.map((list) => list.load())))
const skipped = ref<string[]>([])
useKept('first steps left out', skipped)
const steps = computed(() => [
  {
    key: 'people',
    name: 'Invite the others',
    why: 'technicians mix and plan, members see their own films',
    to: '/people',
    done: people.rows.length > 1,
  },
  {
    key: 'settings',
    name: 'Measure the taps and the room, name the scale’s last digit',
    why: 'water is blended and weights are judged by them',
    to: '/settings',
    done: (session.darkroom?.version ?? 1) > 1,
  },
  { key: 'tanks', name: 'Write down the tanks', why: 'what covers one film, two, three', to: '/tanks', done: vessels.rows.length > 0 },
  {
    key: 'formulas',
    name: 'Write or read in the formulas',
    why: 'what is mixed here, and what is bought ready made',
    to: '/formulary',
    done: formulas.rows.length > 0,
  },
  {
    key: 'jars',
    name: 'Put the jars on record',
    why: 'the scales take from them and say what to order',
    to: '/formulary/jars',
    done: jars.rows.length > 0,
  },
  { key: 'chart', name: 'Begin the wall chart', why: 'a film, a developer, a time', to: '/tanks/chart', done: chart.rows.length > 0 },
  { key: 'mix', name: 'Mix the first bottle', why: 'it will stand here with its label', to: '/scales', done: bottles.rows.length > 0 },
])
const next = computed(() => steps.value.find((step) => !step.done && !skipped.value.includes(step.key)))
</script>

<template>
  <section class="card mb-6 border-2 border-ink" aria-labelledby="first-steps">
    <h2 id="first-steps" class="mb-2 text-2xl font-bold">First steps</h2>
    <WaitFor :of="lists" what="what there is already">
      <ol>
        <li v-for="step in steps" :key="step.key" class="flex flex-wrap items-center gap-x-4 border-b border-line py-1 last:border-b-0">
          <b class="w-20">{{ step.done ? '✓ done' : skipped.includes(step.key) ? 'left out' : step === next ? '▶ now' : 'open' }}</b>
          <p class="min-w-0 flex-1">
            <RouterLink :to="step.to" class="text-lg font-bold underline-offset-4 hover:underline">{{ step.name }}</RouterLink>
            <span class="block text-quiet">{{ step.why }}</span>
          </p>
          <button
            v-if="!step.done && !skipped.includes(step.key)"
            class="link min-h-11"
            :aria-label="`Leave out: ${step.name}`"
            @click="skipped = [...skipped, step.key]"
          >
            Leave it out
          </button>
        </li>
      </ol>
    </WaitFor>
  </section>
</template>
