<script setup lang="ts">
import { taskNames } from '@selvrin/core'
import { trainingApi } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import FindField from '../fields/FindField.vue'
import { matches } from '../fields/matches'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import WaitFor from '../fields/WaitFor.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { usePeople } from '../stores'
import { stateWords } from './words'

/** Whose training ends soon or has ended; then everybody, to give and to take away. */
const session = useSession()
const people = usePeople()
void people.load()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const page = usePage(
  (signal) => call(trainingApi.page, { signal }),
  (event) => event.subject === 'training',
)
void page.load()
const there = computed(() => page.value.value)
const find = ref('')
/** as many as fit a page; the rest is found by name */
const most = 40
const active = computed(() => [...people.rows].filter((one) => one.active).sort((a, b) => a.name.localeCompare(b.name)))
const found = computed(() => active.value.filter((one) => matches(`${one.name} ${one.login}`, find.value)))
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/people" class="link inline-flex min-h-11 items-center">← People</RouterLink>
    <h1 class="mb-2 text-3xl font-bold">Training</h1>
    <PageState
      v-if="!there"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="what ends soon"
      back="To the people"
      back-to="/people"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <div class="grid grid-cols-2 gap-x-10 gap-y-6 max-lg:grid-cols-1">
        <section aria-labelledby="ends">
          <h2 id="ends" class="text-2xl font-bold">To be shown again</h2>
          <p v-if="there.rows.length === 0" class="py-2 text-lg">Nothing ends within thirty days, and nothing has.</p>
          <ul>
            <li v-for="one in there.rows" :key="one.personId + one.standing.task" class="border-b border-line">
              <RouterLink :to="`/people/${one.personId}/training`" class="block min-h-14 py-2 underline-offset-4 hover:underline">
                <b class="text-lg">{{ stateWords[one.standing.state].sign }} {{ one.person }}</b
                >: {{ taskNames[one.standing.task] }},
                <span class="whitespace-nowrap"
                  >{{ one.standing.state === 'ended' ? 'ended' : 'ends' }} {{ showDate(one.standing.endsAt ?? 0, zone) }}</span
                >
              </RouterLink>
            </li>
          </ul>
          <p v-if="there.more > 0" class="py-2">And {{ there.more }} more.</p>
        </section>
        <section aria-labelledby="everybody">
          <h2 id="everybody" class="text-2xl font-bold">Everybody</h2>
          <WaitFor :of="[people]" what="the people">
            <FindField
              v-if="active.length > most / 4"
              v-model="find"
              class="my-2 max-w-sm"
              label="Find someone"
              kept="training"
              :count="found.length"
              :of="active.length"
              what="people"
            />
            <ul>
              <li v-for="one in found.slice(0, most)" :key="one.id" class="border-b border-line">
                <RouterLink
                  :to="`/people/${one.id}/training`"
                  class="flex min-h-12 items-center gap-3 text-lg underline-offset-4 hover:underline"
                  ><b>{{ one.name }}</b> <span class="text-quiet">{{ one.role }}</span></RouterLink
                >
              </li>
            </ul>
            <p v-if="found.length > most" class="py-2">And {{ found.length - most }} more: find them by name.</p>
          </WaitFor>
        </section>
      </div>
    </template>
  </div>
</template>
