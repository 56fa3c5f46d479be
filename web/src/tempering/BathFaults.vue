<script setup lang="ts">
import { bathForRun, isBathOf } from '@selvrin/core'
import { computed } from 'vue'
import FindingList from '../marks/FindingList.vue'
import { useBathLog } from './useBathLog'

/** What the tempering bath at the bench has against a run that wants this temperature; nothing where no bath is set for it. */
const { wantedC, toleranceC } = defineProps<{ wantedC: number; toleranceC: number }>()
const { bench, findings } = useBathLog()
const said = computed(() => {
  const reading = bench.reading.value
  if (reading?.value == null) return []
  const setC = reading.setC ?? null
  if (!isBathOf({ setC: setC ?? reading.value, wantedC })) return []
  return [...findings.value, ...bathForRun({ bathC: reading.value, setC, wantedC, toleranceC })]
})
</script>

<template>
  <div role="status"><FindingList :findings="said" /></div>
</template>
