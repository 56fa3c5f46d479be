<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { computed } from 'vue'
import { clockDoubt, settleDoubt } from '../clock'
import ModalPanel from '../fields/ModalPanel.vue'
import { useClocks } from './clocks'

/** Two clocks disagree while a run is on: what each would have it at, and a person says which is right. */
const clocks = useClocks()
const rows = computed(() =>
  clocks.running.map(({ id, vessel, step, remainingS }) => ({
    id,
    what: `${step}, ${vessel}`,
    here: showTime(Math.max(0, remainingS)),
    there: showTime(Math.max(0, remainingS - (clockDoubt.value?.byMs ?? 0) / 1000)),
  })),
)
const other = computed(() =>
  clockDoubt.value?.other === 'wall'
    ? { title: 'Did this device sleep, or was its clock set?', yes: 'It slept: go by its clock', no: 'Its clock was set: go on as it was' }
    : { title: 'This device and the server do not agree', yes: 'The server is right', no: 'This device is right' },
)
const apart = computed(() => showTime(Math.abs(clockDoubt.value?.byMs ?? 0) / 1000))
</script>

<template>
  <ModalPanel :open="clockDoubt !== null && rows.length > 0" :title="other.title" @close="settleDoubt(false)">
    <p>They are {{ apart }} apart. Look at a watch, and say which one the tank is to go by; it stands in the record.</p>
    <ul class="my-3 space-y-1 text-xl">
      <li v-for="row in rows" :key="row.id">
        {{ row.what }}: <b class="font-mono">{{ row.here }}</b> left as it ran, <b class="font-mono">{{ row.there }}</b> by the other.
      </li>
    </ul>
    <div class="flex flex-wrap gap-3">
      <button class="button button-main" @click="settleDoubt(true)">{{ other.yes }}</button>
      <button class="button" @click="settleDoubt(false)">{{ other.no }}</button>
    </div>
  </ModalPanel>
</template>
