<script setup lang="ts">
import ModalPanel from '../fields/ModalPanel.vue'
import { stations } from './stations'

defineEmits<{ close: [] }>()
const keys: [string, string][] = [
  [`${stations[0]?.key} – ${stations.at(-1)?.key}`, `the stations, from ${stations[0]?.name} to ${stations.at(-1)?.name}`],
  ['/', 'find anything, or do it: “dilute D4”, “time for …”'],
  ['!', 'help: a spill, first aid, whom to call; also in a dialog, and in the dark'],
  ['?', 'this list'],
  ['Space or pedal', 'start; done, next'],
  ['U, or Ctrl and Z', 'undo what was just written, while it is offered'],
  ['H H', 'hold a run at the end of its step'],
  ['T', 'write down a temperature during a run'],
  ['L', 'one step darker, at once'],
  ['L, then Enter, one second', 'white light again; or hold the light button, or two fingers, for two seconds'],
  ['Esc', 'close what is open'],
]
</script>

<template>
  <ModalPanel open title="Keys" @close="$emit('close')">
    <dl class="grid grid-cols-[auto_minmax(0,1fr)] gap-x-6 gap-y-2">
      <template v-for="[key, what] in keys" :key="key">
        <dt>
          <kbd class="font-mono font-bold">{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="mt-4 text-quiet">Single keys rest while you type in a field. They can be switched off in your settings.</p>
    <button class="button mt-5" @click="$emit('close')">Close</button>
  </ModalPanel>
</template>
