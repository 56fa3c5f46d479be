<script setup lang="ts">
import { takerOf } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import { computed } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import { useSession } from '../session/store'
import { useClocks } from './clocks'

/** Another device leads this run: this one can take it over, and then writes it down. */
const { run, open } = defineProps<{ run: Run; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const clocks = useClocks()
const session = useSession()
const taken = computed(() => takerOf(clocks.events.get(run.id) ?? []))
const taker = computed(() => taken.value?.text)
/** what the technician on duty took over is theirs until they give it back */
const onDuty = computed(() => taken.value?.duty === true && !session.isTechnician)
async function take(): Promise<void> {
  await clocks.takeOver(run.id)
  emit('close')
}
</script>

<template>
  <FormPanel
    :open="open"
    :title="`Take run ${run.number} over`"
    yes="Lead it from here"
    :busy="false"
    :blocked="onDuty"
    problem=""
    @close="$emit('close')"
    @submit="take"
  >
    <p v-if="onDuty" class="font-semibold">
      {{ taker ?? 'The technician on duty' }} has stepped in and leads it now. It is given back there; this device follows and sounds its
      cues.
    </p>
    <p v-else>
      {{ taker ? `${taker} leads it on another device.` : 'It was begun on another device, which leads it.' }} This one follows and sounds
      its cues.
    </p>
    <p v-if="!onDuty">
      From then on this device says what is done and writes the run down. What the other one notes after that is kept in the record, marked,
      and does not count.
    </p>
  </FormPanel>
</template>
