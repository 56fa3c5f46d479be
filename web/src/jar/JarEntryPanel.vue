<script setup lang="ts">
import { api, type JarPage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { nameOf } from './reorder'

/** Something taken from a jar, filled in, thrown out, or what it really holds. */
const { jar } = defineProps<{ jar: JarPage }>()
const emit = defineEmits<{ close: []; kept: [jar: JarPage] }>()
const show = useShow()
const { busy, problem, act } = useAction()
const kind = ref<'receive' | 'consume' | 'discard' | 'count' | null>('consume')
const grams = ref<number | null>(null)
const note = ref('')
const entryId = uuid()
/** what the record said when the counting began */
const expectedG = jar.grams
const kinds = [
  { value: 'consume' as const, name: 'Taken', detail: 'by hand, not on the scales' },
  { value: 'receive' as const, name: 'Filled up', detail: 'the same lot' },
  { value: 'count' as const, name: 'Counted', detail: 'what it really holds, without the jar’s own weight' },
  { value: 'discard' as const, name: 'Discarded', detail: 'caked, brown, spilled: where its kind of waste belongs' },
]
async function write(): Promise<void> {
  if (kind.value === null || grams.value === null || (grams.value <= 0 && kind.value !== 'count')) {
    problem.value = 'Write how much.'
    return
  }
  const params = { id: jar.id }
  const given = { entryId, grams: grams.value }
  const written = kind.value
  await act(async () =>
    emit(
      'kept',
      written === 'count'
        ? await call(api.jar.count, { params, body: { ...given, expectedG, reason: note.value || 'counted' } })
        : await call(api.jar.write, { params, body: { ...given, kind: written, note: note.value } }),
    ),
  )
}
</script>

<template>
  <ModalPanel open :title="nameOf(jar)" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="write">
      <ChoiceField v-model="kind" label="What happened" :choices="kinds" />
      <QuantityField
        v-model="grams"
        kind="mass"
        :label="kind === 'count' ? 'It holds' : 'How much'"
        :near="jar.grams"
        :hint="`${show.mass(jar.grams)} by its record`"
      />
      <TextField v-model="note" label="Note" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Write it down</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
