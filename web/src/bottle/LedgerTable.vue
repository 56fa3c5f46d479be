<script setup lang="ts">
import type { LedgerEntry } from '@selvrin/core/contract'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { entryWords } from './entryWords'

/** Lines of a ledger, newest first; what was taken back stays readable. */
defineProps<{ lines: LedgerEntry[]; zone: string }>()
defineEmits<{ takeBack: [entry: LedgerEntry] }>()
const session = useSession()
const show = useShow()
const volume = (ml: number) => show.volume(ml)
const kept = ['reverse', 'move', 'change', 'move-up']
const canTakeBack = (entry: LedgerEntry, last: boolean) =>
  session.isTechnician && !entry.reversedBy && !kept.includes(entry.kind) && !(entry.kind === 'fill' && last)
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full border-collapse text-left">
      <thead>
        <tr class="border-b-2 border-ink">
          <th class="py-2 pr-3">When, who</th>
          <th class="pr-3">What</th>
          <th class="pr-3 text-right">Change</th>
          <th class="pr-3 text-right">Holds</th>
          <th><span class="sr-only">Take back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(entry, i) in lines"
          :key="entry.id"
          class="border-b border-line align-top"
          :class="entry.reversedBy || entry.kind === 'reverse' ? 'text-quiet' : ''"
        >
          <td class="py-2 pr-3">
            {{ showMoment(entry.at, zone) }}<br /><span class="text-quiet">{{ entry.by }}</span>
          </td>
          <td class="py-2 pr-3">
            <span :class="entry.reversedBy ? 'line-through' : 'font-semibold'">{{ entryWords(entry) }}</span>
            <RouterLink v-if="entry.runId && session.isTechnician" class="link ml-1" :to="`/tanks/${entry.runId}`"
              >run {{ entry.runNumber }}</RouterLink
            >
            <RouterLink v-if="entry.otherId" class="link ml-1" :to="`/shelf/${entry.otherId}`">{{ entry.otherLabel }}</RouterLink>
            <span v-if="entry.reversedBy"> taken back</span>
            <span v-if="entry.note" class="block text-quiet">{{ show.said(entry.note) }}</span>
          </td>
          <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">
            {{ entry.ml === 0 ? '' : `${entry.ml > 0 ? '+' : '−'}${volume(Math.abs(entry.ml))}` }}
          </td>
          <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">{{ volume(entry.balanceMl) }}</td>
          <td class="py-1 text-right">
            <button
              v-if="canTakeBack(entry, i === lines.length - 1)"
              class="link min-h-11 whitespace-nowrap"
              :aria-label="`Take back: ${entryWords(entry)}`"
              @click="$emit('takeBack', entry)"
            >
              take back
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
