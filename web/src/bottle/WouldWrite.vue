<script setup lang="ts">
import { wouldHold, type Acted, type Decided } from '@selvrin/core'
import { computed } from 'vue'
import { useShow } from '../session/useShow'
import { outcomeOf } from './outcome'
import WouldHold from './WouldHold.vue'

/**
 * What an act would write, before the tap: core decides it here as it will on the server. `decide` answers null while something is missing. What a reason would lift is
 * asked for by the field beside it, and not said twice.
 */
const { decide, bottles } = defineProps<{ decide: () => Decided | null; bottles: Acted[] }>()
const show = useShow()
const outcome = computed(() => outcomeOf(decide))
const would = computed(() => (outcome.value.decided ? wouldHold(bottles, outcome.value.decided) : []))
const made = computed(() => outcome.value.decided?.made ?? [])
</script>

<template>
  <div role="status">
    <p v-if="outcome.refusal && !outcome.wantsReason" class="border-l-4 border-alarm pl-4 font-semibold">
      {{ show.said(outcome.refusal) }}
    </p>
    <WouldHold v-else-if="would.length > 0" :would="would">
      <li v-if="made.length > 0">
        {{ made.length === 1 ? 'A new label' : `${made.length} new labels` }}: {{ made.map((one) => show.volume(one.ml)).join(', ') }}
      </li>
    </WouldHold>
  </div>
</template>
