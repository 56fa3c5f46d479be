<script setup lang="ts">
import type { Jar } from '@selvrin/core/contract'
import LongTable, { type LongColumn } from '../fields/LongTable.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { nameOf } from './reorder'

/** The jars as a list, for a stock that no shelf shows at a glance. */
defineProps<{ jars: Jar[]; low: (chemical: string) => boolean }>()
const session = useSession()
const show = useShow()
const zone = () => session.darkroom?.zone ?? 'UTC'
const columns: LongColumn<Jar>[] = [
  { id: 'name', name: 'Chemical', by: nameOf, stays: true, class: 'min-w-40' },
  { id: 'grams', name: 'Holds', by: (jar) => jar.grams, class: 'pr-8 text-right' },
  { id: 'place', name: 'Place', by: (jar) => jar.place || null, class: 'min-w-28' },
  { id: 'lot', name: 'Lot', by: (jar) => jar.lot || null, class: 'min-w-20' },
  { id: 'code', name: 'Code', by: (jar) => jar.code },
  { id: 'opened', name: 'Opened', by: (jar) => jar.openedAt, class: 'min-w-28' },
]
</script>

<template>
  <LongTable label="Jars" :rows="jars" :columns="columns" :row-key="(jar) => jar.id" :row-height="48">
    <template #cell="{ row: jar, column }">
      <RouterLink v-if="column.stays" :to="`/formulary/jars/${jar.id}`" class="link inline-flex min-h-11 items-center">{{
        nameOf(jar)
      }}</RouterLink>
      <span v-else-if="column.id === 'grams'" class="whitespace-nowrap"
        ><b v-if="low(jar.chemical)" class="mr-2 text-alarm">▲ order</b><b class="font-mono">{{ show.mass(jar.grams) }}</b></span
      >
      <template v-else-if="column.id === 'place'">{{ jar.place }}</template>
      <template v-else-if="column.id === 'lot'">{{ jar.lot }}</template>
      <span v-else-if="column.id === 'code'" class="font-mono">{{ jar.code }}</span>
      <template v-else>{{ jar.openedAt === null ? 'sealed' : showDate(jar.openedAt, zone()) }}</template>
    </template>
  </LongTable>
</template>
