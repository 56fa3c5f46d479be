<script setup lang="ts">
import { dilutedMl, drumNames } from '@selvrin/core'
import { sinkApi, type DischargeRow, type WasteRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import { useShow } from '../session/useShow'
import type { SinkView } from './useSink'

/** What waits goes down the drain, as the paper says that allows it. */
const { view, row, rule } = defineProps<{ view: SinkView; row: WasteRow; rule: DischargeRow }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const entryId = uuid()
const { busy, problem, act } = useAction()
const pour = async (): Promise<void> => {
  if (!(await act(() => call(sinkApi.drain, { body: { wasteId: row.id, entryId, family: rule.family } })))) return
  await view.page.load()
  emit('close')
}
</script>

<template>
  <FormPanel
    :title="`${show.volume(row.ml)} down the drain`"
    yes="It went down"
    :busy="busy"
    :problem="problem"
    @close="emit('close')"
    @submit="pour"
  >
    <p class="text-lg">
      {{ row.note || `from ${row.label}` }}, {{ drumNames[rule.family] }}. By: <b>{{ rule.paper }}</b>
    </p>
    <ol class="list-decimal space-y-1 pl-6 text-lg">
      <li>Gloves and goggles on, ventilate. Nothing else is poured into this drain meanwhile.</li>
      <li v-if="rule.dilution > 0">
        Make it up with water to <b class="font-mono">{{ show.volume(dilutedMl(row.ml, rule)) }}</b> (1+{{ rule.dilution }}).
      </li>
      <li>Pour it slowly while water runs.</li>
      <li v-if="rule.minutes > 0">
        Let the water run <b class="font-mono">{{ rule.minutes }} min</b> more.
      </li>
    </ol>
    <p>
      {{ show.volume(rule.todayMl) }} of {{ show.volume(rule.mlADay) }} went down today. In doubt it goes into its drum; the local authority
      decides.
    </p>
  </FormPanel>
</template>
