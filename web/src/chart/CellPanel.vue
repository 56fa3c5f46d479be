<script setup lang="ts">
import { showParts, showTime } from '@selvrin/core'
import type { ChartRow } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import FindingList from '../marks/FindingList.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import ChartRowPanel from './ChartRowPanel.vue'
import type { Cell } from './wall'

/** The charted rows behind a time of the wall chart. */
const { cell, developers } = defineProps<{ cell: Cell; developers: { value: string; name: string }[] }>()
const emit = defineEmits<{ close: []; mend: [row: ChartRow]; done: [] }>()
const session = useSession()
const show = useShow()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const chosen = ref<ChartRow | null>(null)
const first = computed(() => cell.rows[0])
const name = computed(() => developers.find((one) => one.value === first.value?.formulaId)?.name ?? '')
</script>

<template>
  <ChartRowPanel
    v-if="chosen"
    :key="chosen.id"
    :row="chosen"
    :developer="name"
    @close="chosen = null"
    @mend="emit('mend', chosen)"
    @done="(emit('done'), emit('close'))"
  />
  <ModalPanel v-else open wide :title="`${first?.film}, EI ${first?.ei}, in ${name} ${showParts(first?.parts)}`" @close="$emit('close')">
    <p v-if="cell.seconds !== null" class="mb-3 font-mono text-6xl font-bold">{{ showTime(cell.seconds) }}</p>
    <p v-else class="mb-3 text-lg font-semibold">{{ show.said(cell.says) }}</p>
    <FindingList :findings="cell.findings" class="mb-3" />
    <ul>
      <li v-for="row in cell.rows" :key="row.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
        <b class="font-mono text-xl">{{ showTime(row.seconds) }}</b>
        <span>at {{ show.temperature(row.temperatureC) }}</span>
        <span class="min-w-0 flex-1 break-words text-quiet"
          >{{ row.source }}{{ row.note ? `: ${row.note}` : '' }}
          <b v-if="row.tried" class="text-ink"
            >tried {{ showDate(row.tried.at, zone) }} by {{ row.tried.by }}{{ row.tried.note ? `: ${row.tried.note}` : '' }}</b
          ></span
        >
        <button class="link min-h-11" :aria-label="`Change ${row.film}, ${show.temperature(row.temperatureC)}`" @click="chosen = row">
          change
        </button>
      </li>
    </ul>
    <button class="button mt-4" @click="$emit('close')">Close</button>
  </ModalPanel>
</template>
