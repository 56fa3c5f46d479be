<script setup lang="ts">
import { onMounted } from 'vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useSession } from '../session/store'
import NoticeList from '../proof/NoticeList.vue'
import { useRolls } from '../stores'
import FilmJudgement from './FilmJudgement.vue'

const session = useSession()
const rolls = useRolls()
onMounted(() => void rolls.load())
</script>

<template>
  <div class="station max-w-4xl">
    <h1 class="mb-4 text-3xl font-bold">{{ session.isTechnician ? 'All films' : 'My films' }}</h1>
    <NoticeList class="mb-4" />
    <ProblemLine :problem="rolls.problem" />
    <p v-if="rolls.loaded && rolls.rows.length === 0" class="text-xl">
      No film of yours was developed here yet. Bring one, and it will stand here with its times.
    </p>
    <ul class="space-y-4">
      <FilmJudgement v-for="roll in rolls.rows" :key="roll.id" :roll="roll" @judged="rolls.load(true)" />
    </ul>
  </div>
</template>
