<script setup lang="ts">
import { computed } from 'vue'
import { useShow } from '../session/useShow'
import type { CoatedView } from './useCoated'

/** The last tap was a slip: what was only said is taken back; it stays on the record that it was. */
const { view } = defineProps<{ view: CoatedView }>()
const show = useShow()
const words = computed(() => {
  const { value: standing } = view.standing
  const step = view.steps.value[(standing?.step ?? 0) - 1]
  const known = { dry: 'it is dry', read: 'the band that was read', step: show.said(step?.name ?? ''), done: 'it is finished' }
  return standing?.last ? known[standing.last] : ''
})
</script>

<template>
  <button v-if="words" type="button" class="button button-small" :disabled="view.busy.value" @click="view.write({ kind: 'back' })">
    Take back: {{ words }}
  </button>
</template>
