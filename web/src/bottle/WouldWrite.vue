<script setup lang="ts">
import { DomainError, Refused, volumesAfter, type Acted, type Decided } from '@selvrin/core'
import { computed } from 'vue'
import { useShow } from '../session/useShow'
import { entryWords } from './entryWords'

/**
 * What an act would write, before the tap: core decides it here as it will on the server. `decide` answers null while something is missing. What a reason would lift is
 * asked for by the field beside it, and not said twice.
 */
const { decide, bottles } = defineProps<{ decide: () => Decided | null; bottles: Acted[] }>()
const show = useShow()
const outcome = computed((): { decided: Decided | null; refusal: string } => {
  try {
    return { decided: decide(), refusal: '' }
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    const wantsReason = error instanceof Refused && error.more.field === 'overrule'
    return { decided: null, refusal: wantsReason ? '' : error.message }
  }
})
const after = computed(() => (outcome.value.decided ? volumesAfter(bottles, outcome.value.decided) : {}))
const rows = computed(() =>
  bottles.flatMap(({ id, label, state }) => {
    const lines = outcome.value.decided?.lines.filter((line) => line.bottleId === id) ?? []
    const words = [...new Set(lines.map((line) => entryWords({ kind: line.kind, throughput: line.throughput ?? [] })))].join(', ')
    const holds = after.value[id] ?? state.volumeMl
    return lines.length > 0 ? [{ id, label, words, holds, changes: Math.abs(holds - state.volumeMl) > 0.05, before: state.volumeMl }] : []
  }),
)
const made = computed(() => outcome.value.decided?.made ?? [])
const volume = (ml: number) => show.volume(Math.max(0, ml))
</script>

<template>
  <div role="status" aria-label="What will be written">
    <p v-if="outcome.refusal" class="border-l-4 border-alarm pl-4 font-semibold">{{ show.said(outcome.refusal) }}</p>
    <ul v-else-if="rows.length > 0" class="border-l-4 border-line pl-4">
      <li v-for="row in rows" :key="row.id">
        <b>{{ row.label }}</b> {{ row.words.charAt(0).toLowerCase() + row.words.slice(1)
        }}<template v-if="row.changes"
          >: {{ volume(row.before) }} → <b class="font-mono">{{ volume(row.holds) }}</b></template
        >
      </li>
      <li v-if="made.length > 0">
        {{ made.length === 1 ? 'A new label' : `${made.length} new labels` }}: {{ made.map((one) => volume(one.ml)).join(', ') }}
      </li>
    </ul>
  </div>
</template>
