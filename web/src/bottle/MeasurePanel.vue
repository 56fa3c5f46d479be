<script setup lang="ts">
import { decideMeasure } from '@selvrin/core'
import WouldWrite from './WouldWrite.vue'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'

/** What a bottle holds, measured: the graduate decides over the sum of its lines. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [bottle: Bottle] }>()
const show = useShow()
const { busy, problem, act } = useAction()
const entryId = uuid()
const ml = ref<number | null>(null)
const note = ref('')
const volume = (amount: number) => show.volume(amount)
const off = computed(() => (ml.value === null ? null : ml.value - bottle.state.volumeMl))
const decide = () => (ml.value === null ? null : decideMeasure(bottle, { entryId, ml: ml.value, note: note.value }))

async function write(): Promise<void> {
  const measured = ml.value
  if (measured === null) {
    problem.value = 'Write what the graduate says.'
    return
  }
  await act(async () =>
    emit('done', await call(api.bottle.measure, { params: { id: bottle.id }, body: { entryId, ml: measured, note: note.value } })),
  )
}
</script>

<template>
  <ModalPanel open :title="`What ${bottle.label} holds`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="write">
      <QuantityField
        v-model="ml"
        kind="volume"
        label="Measured"
        :near="bottle.state.volumeMl"
        :hint="`by its lines ${volume(bottle.state.volumeMl)}`"
      />
      <p v-if="off !== null" class="text-lg" role="status">
        {{
          Math.abs(off) < 0.5
            ? 'Just what its lines come to.'
            : `${volume(Math.abs(off))} ${off < 0 ? 'less' : 'more'} than its lines come to.`
        }}
      </p>
      <TextField v-model="note" label="Note, if any" />
      <WouldWrite :decide="decide" :bottles="[bottle]" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Write it down</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
