<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useSession } from '../session/store'
import NoticeList from '../notice/NoticeList.vue'
import { useRolls } from '../stores'
import FilmJudgement from './FilmJudgement.vue'
import WaitFor from '../fields/WaitFor.vue'
import FindField from '../fields/FindField.vue'
import { matches } from '../fields/matches'
import { useKept } from '../hand/useKept'
import ChoiceField from '../fields/ChoiceField.vue'

const session = useSession()
const rolls = useRolls()
onMounted(() => void rolls.load())
const find = ref('')
const state = ref<string | null>('all')
useKept('films shown', state)
const states = [
  { value: 'all', name: 'All of them' },
  { value: 'open', name: 'Still to be said of' },
  { value: 'marked', name: 'In doubt' },
]
const most = ref(40)
const found = computed(() =>
  rolls.rows.filter(
    (roll) =>
      matches([roll.film, roll.member, roll.developer, roll.note].join(' '), find.value) &&
      (state.value !== 'open' || roll.result === null) &&
      (state.value !== 'marked' || roll.marks.some((mark) => mark.cleared === null)),
  ),
)
</script>

<template>
  <div class="station max-w-4xl">
    <h1 class="mb-4 text-3xl font-bold">{{ session.isTechnician ? 'All films' : 'My films' }}</h1>
    <NoticeList class="mb-4" />
    <WaitFor :of="[rolls]" what="the films">
      <p v-if="rolls.rows.length === 0" class="text-xl">
        No film of yours was developed here yet. Bring one, and it will stand here with its times.
      </p>
      <div v-if="rolls.rows.length > 0" class="mb-4 flex flex-wrap gap-4">
        <FindField
          v-model="find"
          class="flex-1"
          label="Find a film"
          kept="films"
          :count="found.length"
          :of="rolls.rows.length"
          what="films"
        />
        <ChoiceField v-model="state" class="w-56" label="Show" :choices="states" />
      </div>
      <p v-if="rolls.rows.length > 0 && found.length === 0" class="text-xl">No film like that.</p>
      <ul class="space-y-4">
        <FilmJudgement v-for="roll in found.slice(0, most)" :key="roll.id" :roll="roll" @judged="rolls.load(true)" />
      </ul>
      <button v-if="found.length > most" class="button mt-4" @click="most += 40">
        Show {{ Math.min(40, found.length - most) }} more of {{ found.length }}
      </button>
    </WaitFor>
  </div>
</template>
