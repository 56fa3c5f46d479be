<script setup lang="ts">
import type { DraftFinding, ProcessBody } from '@selvrin/core'
import FindingList from '../marks/FindingList.vue'

/** What is wrong with a process as it is written: at which step, and how it is mended where there is a way. */
const { findings, process } = defineProps<{ findings: DraftFinding[]; process: ProcessBody }>()
defineEmits<{ mend: [process: ProcessBody]; see: [key: string] }>()
const nameOf = (key: string | undefined) => process.steps.find((one) => one.key === key)?.name
/** The list counts the steps that count; here a step is known by its name. */
const bare = ({ rule, severity, message }: DraftFinding) => [{ rule, severity, message }]
</script>

<template>
  <ul v-if="findings.length > 0" class="space-y-2" aria-label="What is wrong with it">
    <li v-for="(finding, i) in findings" :key="i">
      <FindingList :findings="bare(finding)" />
      <p class="ml-9 flex flex-wrap gap-x-5">
        <button v-if="finding.mend" type="button" class="link min-h-11" @click="$emit('mend', finding.mend.process)">
          {{ finding.mend.says }}
        </button>
        <button v-if="finding.key" type="button" class="link min-h-11" @click="$emit('see', finding.key)">
          Show {{ nameOf(finding.key) }}
        </button>
      </p>
    </li>
  </ul>
  <p v-else class="text-lg">Nothing speaks against it.</p>
</template>
