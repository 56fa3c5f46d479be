<script setup lang="ts">
import type { Mix } from '@selvrin/core/contract'
import { catalogue } from '../chemical/chemistry'
import { useShow } from '../session/useShow'

/** The record of a mix, line by line. */
defineProps<{ mix: Mix }>()
const show = useShow()
const amount = (unit: 'g' | 'ml', value: number) => (unit === 'g' ? show.mass(value) : show.volume(value))
</script>

<template>
  <table class="w-full max-w-5xl border-collapse text-left text-base">
    <thead>
      <tr class="border-b-2 border-ink">
        <th class="py-2 pr-4">Chemical</th>
        <th class="pr-4">Lot</th>
        <th class="pr-4 text-right">Wanted</th>
        <th class="pr-4 text-right">May be off</th>
        <th class="pr-4 text-right">Taken</th>
        <th class="pr-4">By</th>
        <th>Looked at by</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in mix.record" :key="line.step" class="border-b border-line">
        <td class="py-2 pr-4 font-semibold">{{ catalogue()[line.chemical]?.name ?? line.chemical }}</td>
        <td class="pr-4">{{ line.lot || '—' }}</td>
        <td class="pr-4 text-right font-mono">{{ amount(line.unit, line.target) }}</td>
        <td class="pr-4 text-right font-mono">{{ line.tolerance * 100 }} %</td>
        <td class="pr-4 text-right font-mono">{{ amount(line.unit, line.actual) }}</td>
        <td class="pr-4">{{ line.by }}{{ line.device ? `, ${line.device}` : '' }}</td>
        <td>{{ line.checkedBy ?? '—' }}</td>
      </tr>
    </tbody>
  </table>
</template>
