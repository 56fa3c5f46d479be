<script setup lang="ts">
import { useRouter } from 'vue-router'
import AskCard from '../fields/AskCard.vue'
import { dropTyped } from '../hand/typed'
import { leavingFor } from './leaving'

/** Something was typed and a key, a link or the way back would lose it: that is asked, on top of everything. */
const router = useRouter()
function leave(): void {
  const to = leavingFor.value
  dropTyped()
  leavingFor.value = null
  if (to !== null) void router.push(to)
}
</script>

<template>
  <div v-if="leavingFor !== null" class="fixed inset-x-4 top-16 z-50 mx-auto max-w-2xl" role="alertdialog" aria-label="Not kept yet">
    <AskCard
      question="What you typed on this page is not kept yet."
      back="Stay here"
      on="Leave and drop it"
      @back="leavingFor = null"
      @on="leave"
    />
  </div>
</template>
