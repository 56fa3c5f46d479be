<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { sentence } from '../api/call'
import ClockView from './ClockView.vue'
import { useClocks } from './clocks'
import ReadyView from './ReadyView.vue'
import RecordView from './RecordView.vue'

const route = useRoute()
const clocks = useClocks()
const missing = ref('')
const id = String(route.params.id)
const run = computed(() => clocks.runs.get(id))
onMounted(() => void clocks.load(id).catch((error: unknown) => (missing.value = sentence(error))))
</script>

<template>
  <ClockView v-if="run?.state === 'running'" :key="id" :run="run" />
  <div v-else class="station">
    <p v-if="missing && !run" class="text-xl">{{ missing }} <RouterLink to="/tanks" class="link">Back to the tanks</RouterLink></p>
    <p v-else-if="!run" class="text-quiet">Fetching the run …</p>
    <ReadyView v-else-if="run.state === 'planned'" :run="run" />
    <RecordView v-else :run="run" />
  </div>
</template>
