<script setup lang="ts">
import { carryOutMl, formats, rollEquivalents, showVolume } from '@selvrin/core'
import { api, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField, { type Choice } from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { showRolls } from '../marks/words'
import { useSession } from '../session/store'

type Kind = 'pour-out' | 'pour-back' | 'top-up' | 'discard'
const { bottle, tally } = defineProps<{ bottle: BottlePage; tally: boolean }>()
const emit = defineEmits<{ close: []; done: [page: BottlePage] }>()
const session = useSession()
const { busy, problem, act } = useAction()
const entryId = uuid()
const kind = ref<Kind | null>('pour-out')
const kinds: Choice<Kind>[] = [
  { value: 'pour-out', name: 'Poured out' },
  { value: 'pour-back', name: 'Poured back' },
  { value: 'top-up', name: 'Topped up' },
  { value: 'discard', name: 'Poured away' },
]
const ml = ref<number | null>(null)
const format = ref<string | null>(bottle.family === 'print-developer' ? 'paper-8x10in' : '135-36')
const formatChoices = Object.entries(formats).map(([value, one]) => ({ value, name: one.name }))
const count = ref('2')
const note = ref('')
const pieces = computed(() => (/^\d{1,3}$/.test(count.value.trim()) ? Number(count.value) : null))
const load = computed(() => (pieces.value === null || format.value === null ? null : { format: format.value, count: pieces.value }))
const carry = computed(() => (load.value ? carryOutMl(load.value) : 0))

async function write(): Promise<void> {
  if (tally && !load.value) {
    problem.value = 'Write how many films or sheets, as a whole number.'
    return
  }
  if (!tally && (ml.value === null || kind.value === null)) {
    problem.value = 'Write how much.'
    return
  }
  const amount = load.value ? rollEquivalents(load.value) : 0
  const paper = formats[format.value ?? '']?.paper === true
  const body = tally
    ? {
        entryId,
        kind: 'use' as const,
        ml: Math.min(carry.value, bottle.state.volumeMl),
        rolls: paper ? 0 : amount,
        paper: paper ? amount : 0,
        note: note.value,
      }
    : { entryId, kind: kind.value ?? 'pour-out', ml: ml.value ?? 0, note: note.value }
  await act(async () => emit('done', await call(api.bottle.pour, { params: { id: bottle.id }, body })))
}
</script>

<template>
  <ModalPanel open :title="tally ? `Poured back into ${bottle.label}` : `${bottle.label} ${bottle.name}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="write">
      <template v-if="tally">
        <div class="grid grid-cols-2 gap-4">
          <TextField v-model="count" label="How many went through" />
          <ChoiceField v-model="format" label="Of what" :choices="formatChoices" />
        </div>
        <p v-if="load">Counts as {{ showRolls(rollEquivalents(load)) }}; {{ showVolume(carry, session.units) }} left with them.</p>
      </template>
      <template v-else>
        <ChoiceField v-model="kind" label="What was done" :choices="kinds" />
        <QuantityField
          v-model="ml"
          kind="volume"
          label="How much"
          :hint="`it holds ${showVolume(bottle.state.volumeMl, session.units)} of ${showVolume(bottle.sizeMl, session.units)}`"
        />
      </template>
      <TextField v-model="note" label="Note, if any" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Write it down</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
