<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { api, type Darkroom } from '@selvrin/core/contract'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import WaitFor from '../fields/WaitFor.vue'
import { useSession } from '../session/store'
import { useChart, useFormulas, useJars, usePeople, useVessels } from '../stores'

/** An empty house is led: what there is to do until all is done or left out, whole until the first bottle stands, in one line from then on. */
const { begun } = defineProps<{ /** a bottle stands here, or stood here once */ begun: boolean }>()
const session = useSession()
const [people, vessels, formulas, jars, chart] = [usePeople(), useVessels(), useFormulas(), useJars(), useChart()]
const whole = computed(() => !begun)
const shown = ref(false)
/** nothing is said to be open before it is known what there is */
const known = computed(() => lists.every((list) => list.loaded))
const lists = [people, vessels, formulas, jars, chart]
onMounted(() => void Promise.all(lists.map((list) => list.load())))
const skipped = computed(() => session.darkroom?.leftOut ?? [])
const { busy, problem, act } = useAction({ keeps: false })
/** Left out for the whole house: nobody is asked again. */
const leaveOut = (key: string) =>
  act(async () => {
    const { version, ...settings } = session.darkroom as Darkroom
    await call(api.darkroom.change, { body: { version, ...settings, leftOut: [...skipped.value, key] } })
    await session.load()
  })
const measured = computed(() => {
  const room = session.darkroom
  return room !== null && room.tapColdC !== null && room.tapHotC !== null && room.roomC !== null
})
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
    done: measured.value,
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
  { key: 'mix', name: 'Mix the first bottle', why: 'it will stand here with its label', to: '/scales', done: begun },
])
const open = computed(() => steps.value.filter((step) => !step.done && !skipped.value.includes(step.key)))
const next = computed(() => open.value[0])
</script>

<template>
  <section v-if="whole || (known && open.length > 0)" class="card mb-6 border-2 border-ink" aria-labelledby="first-steps">
    <div class="flex flex-wrap items-baseline gap-x-6">
      <h2 id="first-steps" class="text-2xl font-bold">First steps</h2>
      <p v-if="!whole" class="text-lg">
        {{ open.length === 1 ? 'one is' : `${open.length} are` }} open:
        <RouterLink :to="next?.to ?? '/'" class="link">{{ next?.name }}</RouterLink>
      </p>
      <button v-if="!whole" class="link min-h-11" :aria-expanded="shown" @click="shown = !shown">
        {{ shown ? 'Hide them' : 'Show them all' }}
      </button>
    </div>
    <p v-if="whole" class="mb-2 text-lg">
      Begin with nothing, or with a <RouterLink to="/starter" class="link inline-flex min-h-11 items-center">starter set</RouterLink>: house
      formulas, tanks, shelves and times to choose from.
    </p>
    <ProblemLine :problem="problem" />
    <WaitFor v-if="whole || shown" :of="lists" what="what there is already">
      <ol>
        <li v-for="step in steps" :key="step.key" class="flex flex-wrap items-center gap-x-4 border-b border-line py-1 last:border-b-0">
          <b class="w-20">{{ step.done ? '✓ done' : skipped.includes(step.key) ? 'left out' : step === next ? '▶ now' : 'open' }}</b>
          <p class="min-w-0 flex-1">
            <RouterLink :to="step.to" class="go text-lg">{{ step.name }}</RouterLink>
            <span class="block text-quiet">{{ step.why }}</span>
          </p>
          <button
            v-if="!step.done && !skipped.includes(step.key)"
            class="link min-h-11"
            :disabled="busy"
            :aria-label="`Leave out: ${step.name}`"
            @click="leaveOut(step.key)"
          >
            Leave it out
          </button>
        </li>
      </ol>
    </WaitFor>
  </section>
</template>
