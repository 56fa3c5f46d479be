<script setup lang="ts">
import { mayAlone, taskNames, type TaskStanding, type TrainingTask } from '@selvrin/core'
import { trainingApi, type TrainingLine, type TrainingPage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { showDate, showMoment } from '../marks/words'
import { useSession } from '../session/store'
import GivePanel from './GivePanel.vue'
import RevokePanel from './RevokePanel.vue'
import { capital, stageWords, stateWords } from './words'

/** What somebody may do without a technician beside them, what they lack, and how they came to it; a technician gives and takes away here. */
const route = useRoute()
const session = useSession()
const personId = String(route.params.id ?? session.person?.id ?? '')
const mine = personId === session.person?.id
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const page = usePage(
  (signal) => call(trainingApi.person, { params: { id: personId }, signal }),
  (event) => event.subject === 'training',
)
void page.load()
const there = computed(() => page.value.value)
const may = computed(() => there.value?.standings.filter(mayAlone) ?? [])
const lacks = computed(() => there.value?.standings.filter((one) => !mayAlone(one)) ?? [])
const when = ({ state, endsAt, stage }: TaskStanding): string => {
  if (endsAt === null) return ''
  if (state === 'partly') return stage ? `${stageWords[stage]}, until ${showDate(endsAt, zone.value)}` : ''
  return `${state === 'ended' ? 'on' : 'until'} ${showDate(endsAt, zone.value)}`
}
const lineWords = (one: TrainingLine): string => {
  const tasks = one.tasks.map((task) => taskNames[task]).join(', ')
  if (one.kind === 'revoked') return `${tasks}: taken away by ${one.by}`
  if (one.kind === 'present') return `${tasks}: ${one.by} stood beside them`
  const how = one.stage ? ` ${stageWords[one.stage]}` : ''
  return one.practised ? `${tasks}${how}: practised, counted by ${one.by}` : `${tasks}${how}: shown by ${one.outside || one.by}`
}
const giving = ref<TrainingTask | null>(null)
const revoking = ref<TrainingTask | null>(null)
const { busy, problem, act } = useAction()
const count = ({ practiceId, task, stage, at }: TrainingPage['practised'][number]) =>
  act(() => call(trainingApi.give, { body: { id: uuid(), personId, practiceId, body: { task, stage, at, shown: '', outside: '' } } })).then(
    () => page.load(),
  )
function written(): void {
  giving.value = revoking.value = null
  void page.load()
}
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink :to="mine ? '/settings' : '/people/training'" class="link inline-flex min-h-11 items-center"
      >← {{ mine ? 'Settings' : 'Training' }}</RouterLink
    >
    <PageState
      v-if="!there"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="what was shown"
      back="To the Shelf"
      back-to="/shelf"
    />
    <template v-else>
      <h1 class="mb-2 text-3xl font-bold">{{ mine ? 'What I may do' : `${there.person}: training` }}</h1>
      <p v-if="there.role === 'technician'" class="mb-4 max-w-3xl text-lg">
        {{ mine ? 'You are a technician, and stand' : `${there.person} is a technician, and stands` }} beside others: nothing is refused for
        what is lacking here. It says what should be shown again.
      </p>
      <ProblemLine :problem="problem || page.problem.value" />
      <div class="grid grid-cols-2 gap-x-10 gap-y-6 max-lg:grid-cols-1">
        <section
          v-for="side in [
            { title: 'May do alone', rows: may },
            { title: 'Lacks', rows: lacks },
          ]"
          :key="side.title"
          :aria-label="side.title"
        >
          <h2 class="text-2xl font-bold">{{ side.title }}</h2>
          <p v-if="side.rows.length === 0" class="py-2 text-lg">{{ side.title === 'Lacks' ? 'Nothing.' : 'Nothing yet.' }}</p>
          <ul>
            <li v-for="one in side.rows" :key="one.task" class="border-b border-line py-2.5">
              <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
                <p class="min-w-0 flex-1 basis-64">
                  <b class="text-xl">{{ stateWords[one.state].sign }} {{ capital(taskNames[one.task]) }}</b
                  ><br />
                  {{ stateWords[one.state].says }} {{ when(one) }}
                </p>
                <div v-if="session.isTechnician" class="flex flex-wrap gap-2">
                  <button type="button" class="button button-small" @click="giving = one.task">
                    {{ one.state === 'never' ? 'Was shown it' : one.state === 'partly' ? 'Went on' : 'Shown again'
                    }}<span class="sr-only">: {{ taskNames[one.task] }}</span>
                  </button>
                  <button
                    v-if="mayAlone(one) || one.state === 'partly'"
                    type="button"
                    class="button button-small"
                    @click="revoking = one.task"
                  >
                    Take it away<span class="sr-only">: {{ taskNames[one.task] }}</span>
                  </button>
                </div>
              </div>
            </li>
          </ul>
        </section>
      </div>
      <section v-if="there.practised.length > 0" class="mt-8" aria-labelledby="practised">
        <h2 id="practised" class="text-2xl font-bold">Practised with nothing wrong</h2>
        <p class="max-w-3xl text-quiet">
          {{
            session.isTechnician ? 'It counts as training where you say so, from its own day.' : 'A technician may count it as training.'
          }}
        </p>
        <ul>
          <li
            v-for="one in there.practised"
            :key="one.practiceId + one.task"
            class="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line py-2"
          >
            <p class="min-w-0 flex-1 basis-64">
              <b>{{ capital(taskNames[one.task]) }}</b> {{ one.stage ? stageWords[one.stage] : one.name }}
              <span class="text-quiet">{{ showMoment(one.at, zone) }}</span>
            </p>
            <button v-if="session.isTechnician && !mine" type="button" class="button button-small" :disabled="busy" @click="count(one)">
              It counts<span class="sr-only">: {{ taskNames[one.task] }}</span>
            </button>
          </li>
        </ul>
      </section>
      <section class="mt-8" aria-labelledby="book">
        <h2 id="book" class="text-2xl font-bold">How it came</h2>
        <p v-if="there.lines.length === 0" class="py-2 text-lg">
          Nobody has shown {{ mine ? 'you' : 'them' }} anything yet. A technician does, and writes it down here.
        </p>
        <ul>
          <li v-for="one in there.lines" :key="one.id" class="border-b border-line py-2">
            <span class="mr-3 text-quiet">{{ showMoment(one.at, zone) }}</span>
            {{ capital(lineWords(one)) }}<template v-if="one.shown">: {{ one.shown }}</template>
          </li>
        </ul>
      </section>
      <GivePanel v-if="giving" :task="giving" :person="there.person" :person-id="personId" @close="giving = null" @done="written" />
      <RevokePanel v-if="revoking" :task="revoking" :person="there.person" :person-id="personId" @close="revoking = null" @done="written" />
    </template>
  </div>
</template>
