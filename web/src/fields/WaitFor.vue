<script setup lang="ts">
import { computed } from 'vue'
import PageState from './PageState.vue'

/** Shows its content when all it needs is there; until then what it waits for, and that it keeps trying. Nothing is called empty before that. */
const { of } = defineProps<{ of: { loaded: boolean; problem: string }[]; what: string }>()
const ready = computed(() => of.every((one) => one.loaded))
const problem = computed(() => of.find((one) => one.problem !== '')?.problem ?? '')
</script>

<template>
  <template v-if="ready">
    <p v-if="problem" role="status" class="mb-3 border-l-4 border-alarm pl-3 font-semibold">
      This may be old: {{ problem.replace(/^T/, 't') }}
    </p>
    <slot />
  </template>
  <PageState v-else missing="" :problem="problem" :what="what" back="" back-to="" />
</template>
