<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { usePaged } from '../api/usePaged'
import { useSession } from '../session/store'
import NoticeList from '../notice/NoticeList.vue'
import FilmJudgement from './FilmJudgement.vue'
import WaitFor from '../fields/WaitFor.vue'
import FindField from '../fields/FindField.vue'
import { useKept } from '../hand/useKept'
import ChoiceField from '../fields/ChoiceField.vue'
import PressOne from '../fields/PressOne.vue'
import { part } from '../part/part'

const FilmTable = part(() => import('./FilmTable.vue'))
const session = useSession()
const find = ref('')
const state = ref<string | null>('all')
useKept('films shown', state)
if (useRoute().query.show === 'waiting') state.value = 'waiting'
const states = [
  { value: 'all', name: 'All of them' },
  { value: 'unsaid', name: 'Still to be said of' },
  { value: 'marked', name: 'In doubt' },
  { value: 'hanging', name: 'Hanging' },
  { value: 'waiting', name: 'For their owners' },
]
const seen = ref<'cards' | 'list' | null>('cards')
useKept('films seen', seen)
const ways = [
  { value: 'cards' as const, name: 'To say how they came out' },
  { value: 'list' as const, name: 'As a list' },
]
const asked = computed(() => ({
  ...(find.value.trim() === '' ? {} : { find: find.value.trim() }),
  ...(state.value === null || state.value === 'all' ? {} : { only: state.value }),
}))
const films = usePaged(api.run.rolls, () => asked.value, {
  subject: 'roll',
  holds: (roll) =>
    (state.value !== 'unsaid' || roll.result === null) &&
    (state.value !== 'marked' || roll.marks.some((mark) => mark.clearedAt === null)) &&
    (state.value !== 'hanging' || (roll.hungAt !== null && roll.sleevedAt === null)) &&
    (state.value !== 'waiting' || (roll.sleevedAt !== null && roll.handedAt === null)),
})
const list = computed(() => ({ loaded: films.loaded.value, problem: films.problem.value }))
const rows = computed(() => films.rows.value)
const whole = computed(() => Object.keys(asked.value).length === 0)
</script>

<template>
  <div class="station max-w-5xl">
    <div class="mb-4 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">{{ session.isTechnician ? 'All films' : 'My films' }}</h1>
      <RouterLink to="/practice" class="button ml-auto">Practice</RouterLink>
      <RouterLink v-if="session.isTechnician" to="/films/pairs" class="button">How films come out</RouterLink>
    </div>
    <NoticeList class="mb-4" />
    <WaitFor :of="[list]" what="the films">
      <p v-if="whole && rows.length === 0 && !films.busy.value" class="text-xl">
        No film of yours was developed here yet. Bring one, and it will stand here with its times.
      </p>
      <div v-else class="mb-4 flex flex-wrap items-start gap-4">
        <FindField
          v-model="find"
          class="flex-1"
          label="Find a film"
          kept="films"
          :count="rows.length"
          :more="films.hasMore.value"
          what="films"
        />
        <ChoiceField v-model="state" class="w-56" label="Show" :choices="states" />
        <PressOne v-model="seen" class="pt-7" label="How the films are shown" :choices="ways" />
      </div>
      <p v-if="!whole && rows.length === 0 && !films.busy.value" class="text-xl">No film like that.</p>
      <FilmTable v-if="seen === 'list' && rows.length > 0" :rolls="rows" @judged="films.put" />
      <ul v-else class="space-y-4">
        <FilmJudgement v-for="roll in rows" :key="roll.id" :roll="roll" @judged="films.put" />
      </ul>
      <button v-if="films.hasMore.value" class="button mt-4" :disabled="films.busy.value" @click="films.more()">Show more</button>
    </WaitFor>
  </div>
</template>
