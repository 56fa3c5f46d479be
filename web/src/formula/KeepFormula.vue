<script setup lang="ts">
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import BothVersions from './BothVersions.vue'
import type { FormulaDraft } from './useFormulaDraft'

/** Keeps what was typed: as a formula, as its next version, or after one that someone else saved meanwhile. */
const { of } = defineProps<{ of: FormulaDraft }>()
const { busy, problem, theirs, read, grave, overrule, based, overTheirs } = of
</script>

<template>
  <div class="card space-y-3">
    <ProblemLine :problem="problem" />
    <div v-if="theirs" class="space-y-2">
      <p>
        <b>Version {{ theirs.number }}</b> was saved by {{ theirs.changedBy }} meanwhile.
      </p>
      <BothVersions v-if="read.body" :theirs="theirs.body" :mine="read.body" />
      <button type="button" class="button button-small" @click="overTheirs">Keep mine as the version after it</button>
    </div>
    <TextField v-if="grave" v-model="overrule" label="Keep it all the same? Say why" hint="it stays on the version" />
    <button class="button button-main w-full" :disabled="busy">
      {{ based ? `Keep as version ${based.number + 1}` : 'Keep the formula' }}
    </button>
    <p class="text-quiet">What was mixed before keeps its own version.</p>
  </div>
</template>
