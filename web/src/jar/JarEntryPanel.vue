<script setup lang="ts">
import { decideCount, decideJarLine, DomainError } from '@selvrin/core'
import { api, type JarPage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
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
/** What the jar holds then, or why it cannot be: core decides it here as it will on the server. */
const then = computed(() => {
  const [what, amount] = [kind.value, grams.value]
  if (what === null || amount === null || (amount <= 0 && what !== 'count')) return null
  try {
    const line =
      what === 'count'
        ? decideCount(jar, { entryId, grams: amount, expectedG, reason: note.value })
        : decideJarLine(jar, { entryId, kind: what, grams: amount, note: note.value })
    return { holds: jar.grams + line.grams, refusal: '' }
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return { holds: jar.grams, refusal: error.message }
  }
})

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
  <FormPanel :title="nameOf(jar)" yes="Write it down" :busy="busy" :problem="problem" @close="$emit('close')" @submit="write">
    <ChoiceField v-model="kind" label="What happened" :choices="kinds" />
    <QuantityField
      v-model="grams"
      kind="mass"
      :label="kind === 'count' ? 'It holds' : 'How much'"
      :near="jar.grams"
      :hint="`${show.mass(jar.grams)} by its record`"
    />
    <TextField v-model="note" label="Note" />
    <p v-if="then?.refusal" role="status" class="border-l-4 border-alarm pl-4 font-semibold">{{ show.said(then.refusal) }}</p>
    <p v-else-if="then" role="status" class="border-l-4 border-line pl-4">
      {{ show.mass(jar.grams) }} → <b class="font-mono">{{ show.mass(then.holds) }}</b>
    </p>
  </FormPanel>
</template>
