<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { useRoute } from 'vue-router'
import { bathOf, standsBefore } from '../aid/before'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import ClockView from './ClockView.vue'
import { useClocks } from './clocks'
import ReadyView from './ReadyView.vue'
import RecordView from './RecordView.vue'

const route = useRoute()
const clocks = useClocks()
const id = String(route.params.id)
const run = computed(() => clocks.runs.get(id))
const page = usePage(() => clocks.load(id))
onMounted(() => void page.load())
// what is in the tank, then what else this run pours
standsBefore(() => {
  const clock = run.value?.state === 'running' ? clocks.clockOf(id) : null
  const steps = run.value?.plan.steps ?? []
  const now = clock?.course[clock.step]?.name
  return [...steps.filter((one) => one.name === now), ...steps].flatMap(({ bottle }) =>
    bottle ? [{ name: `${bottle.label} ${bottle.name}`, bottleId: bottle.id, of: bathOf(bottle.family) }] : [],
  )
})
</script>

<template>
  <ClockView v-if="run?.state === 'running'" :key="id" :run="run" />
  <div v-else class="station">
    <PageState
      v-if="!run"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the run"
      back="Back to the tanks"
      back-to="/tanks"
    />
    <ReadyView v-else-if="run.state === 'planned'" :run="run" />
    <RecordView v-else :run="run" />
  </div>
</template>
