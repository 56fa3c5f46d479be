<script setup lang="ts">
import { drumNames, metalOf, type Drum } from '@selvrin/core'
import { sinkApi, type DischargeRow, type WasteDrum, type WasteRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import BathMark from '../marks/BathMark.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { showMoment } from '../marks/words'
import { useShow } from '../session/useShow'
import ChooseDrum from './ChooseDrum.vue'
import DownTheDrain from './DownTheDrain.vue'
import { drumMarks } from './drumWords'
import type { SinkView } from './useSink'

/** What left bottles and runs and stands in no drum yet: one tap pours it into the drum that is proposed; a paper may let it go down the drain. */
const { view } = defineProps<{ view: SinkView; rows: WasteRow[]; zone: string }>()
const show = useShow()
const { busy, problem, act } = useAction({ keeps: false })
const choosing = ref<WasteRow | null>(null)
const draining = ref<{ row: WasteRow; rule: DischargeRow } | null>(null)
/** the paper by which it may go down the drain */
const allowed = (row: WasteRow): DischargeRow | null => {
  const { sink } = view
  if (!sink.value || sink.value.facts.septic) return null
  return sink.value.rules.find((one) => one.family === row.drum && !one.ended && one.todayMl + row.ml <= one.mlADay) ?? null
}
const proposal = (row: WasteRow): WasteDrum | null =>
  row.drum === null ? null : view.proposed(row.drum as Drum, row.ml, metalOf(row.contents))
const pour = (row: WasteRow, drum: WasteDrum) =>
  act(async () => {
    const body = { waste: [{ wasteId: row.id, entryId: uuid() }], other: null, ph: null, funnelId: null }
    await call(sinkApi.pour, { params: { id: drum.id }, body })
    await view.page.load()
  })
</script>

<template>
  <div>
    <ProblemLine :problem="choosing ? '' : problem" />
    <ul>
      <li v-for="row in rows" :key="row.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2">
        <BathMark v-if="row.drum" :family="drumMarks[row.drum]" :size="30" />
        <b class="min-w-24 font-mono text-2xl">{{ show.volume(row.ml) }}</b>
        <span class="min-w-48 flex-1"
          ><b>{{ row.drum === null ? 'by your local rules' : drumNames[row.drum] }}</b
          ><span class="block text-quiet">{{ row.note || `from ${row.label}` }} · {{ showMoment(row.at, zone) }}</span></span
        >
        <button v-if="proposal(row)" type="button" class="button button-main" :disabled="busy" @click="pour(row, proposal(row)!)">
          Into {{ proposal(row)!.code }}<span class="sr-only">, {{ show.volume(row.ml) }} {{ row.note }}</span>
        </button>
        <p v-else-if="row.drum !== null" class="text-quiet">no labelled drum has room</p>
        <button v-if="allowed(row)" type="button" class="button" :disabled="busy" @click="draining = { row, rule: allowed(row)! }">
          Down the drain<span class="sr-only">: {{ show.volume(row.ml) }} {{ row.note }}</span>
        </button>
        <button type="button" class="button" :disabled="busy" @click="choosing = row">
          Another way<span class="sr-only">: {{ show.volume(row.ml) }} {{ row.note }}</span>
        </button>
      </li>
    </ul>
    <DownTheDrain v-if="draining" :view="view" :row="draining.row" :rule="draining.rule" @close="draining = null" />
    <ChooseDrum v-if="choosing" :view="view" :row="choosing" :zone="zone" @close="choosing = null" />
  </div>
</template>
