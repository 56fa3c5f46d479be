<script setup lang="ts">
import type { LedgerEntry } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import FindField from '../fields/FindField.vue'
import LongTable, { type LongColumn } from '../fields/LongTable.vue'
import { matches } from '../fields/matches'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { entryWords } from './entryWords'

/** Lines of the ledger `of` a bottle, newest first; what was taken back stays readable. `more` where older ones are not here yet. */
const { of, lines, zone, more } = defineProps<{ of: string; lines: LedgerEntry[]; zone: string; more: boolean }>()
defineEmits<{ takeBack: [entry: LedgerEntry] }>()
const session = useSession()
const show = useShow()
const volume = (ml: number) => show.volume(ml)
const kept = ['reverse', 'move', 'change', 'move-up']
const canTakeBack = (entry: LedgerEntry) =>
  session.isTechnician && !entry.reversedBy && !kept.includes(entry.kind) && !(entry.kind === 'fill' && entry === lines.at(-1))

/** so few are seen at a glance */
const few = 12
const find = ref('')
const shown = computed(() =>
  lines.filter((entry) =>
    matches(
      [entryWords(entry), entry.by, entry.note, entry.otherLabel ?? '', entry.runNumber ? `run ${entry.runNumber}` : ''].join(' '),
      find.value,
    ),
  ),
)
const columns: LongColumn<LedgerEntry>[] = [
  { id: 'what', name: 'What', by: (entry) => entryWords(entry), stays: true, class: 'min-w-32 font-normal' },
  { id: 'when', name: 'When, who', by: (entry) => entry.at, class: 'min-w-44' },
  { id: 'change', name: 'Change', by: (entry) => entry.ml, class: 'text-right' },
  { id: 'holds', name: 'Holds', by: (entry) => entry.balanceMl, class: 'text-right' },
  ...(session.isTechnician ? [{ id: 'back', name: 'Put right', class: 'text-right' }] : []),
]
const rowClass = (entry: LedgerEntry) => `align-baseline ${entry.reversedBy || entry.kind === 'reverse' ? 'text-quiet' : ''}`
</script>

<template>
  <FindField
    v-if="lines.length > few"
    v-model="find"
    class="mb-2 max-w-sm"
    label="Find a line"
    :kept="`ledger ${of}`"
    :count="shown.length"
    :more="more"
    what="lines"
  />
  <LongTable
    label="Lines of the ledger"
    :rows="shown"
    :columns="columns"
    :row-key="(entry) => entry.id"
    :row-class="rowClass"
    :row-height="58"
  >
    <template #cell="{ row: entry, column }">
      <template v-if="column.id === 'what'">
        <span :class="entry.reversedBy ? 'line-through' : 'font-semibold'">{{ entryWords(entry) }}</span>
        <RouterLink v-if="entry.runId && session.isTechnician" class="link ml-1" :to="`/tanks/${entry.runId}`"
          >run {{ entry.runNumber }}</RouterLink
        >
        <RouterLink v-if="entry.otherId" class="link ml-1" :to="`/shelf/${entry.otherId}`">{{ entry.otherLabel }}</RouterLink>
        <span v-if="entry.reversedBy"> taken back</span>
        <span v-if="entry.note" class="block text-quiet">{{ show.said(entry.note) }}</span>
      </template>
      <template v-else-if="column.id === 'when'">
        {{ showMoment(entry.at, zone) }}<br /><span class="text-quiet">{{ entry.by }}</span>
      </template>
      <span v-else-if="column.id === 'change'" class="font-mono whitespace-nowrap">{{
        entry.ml === 0 ? '' : `${entry.ml > 0 ? '+' : '−'}${volume(Math.abs(entry.ml))}`
      }}</span>
      <span v-else-if="column.id === 'holds'" class="font-mono whitespace-nowrap">{{ volume(entry.balanceMl) }}</span>
      <button
        v-else-if="canTakeBack(entry)"
        class="link min-h-11 whitespace-nowrap"
        :aria-label="`Take back: ${entryWords(entry)}`"
        @click="$emit('takeBack', entry)"
      >
        take back
      </button>
    </template>
  </LongTable>
</template>
