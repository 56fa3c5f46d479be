<script setup lang="ts">
import { drumCheck, usualGPerMl } from '@selvrin/core'
import { sinkApi, type WasteDrum } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { kilosIn } from './drumWords'
import FormPanel from '../fields/FormPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import FindingList from '../marks/FindingList.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'

/** The drum on the scales, against the sum of its lines. */
const { drum } = defineProps<{ drum: WasteDrum }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const show = useShow()
const grams = ref<number | null>(null)
const check = computed(() => {
  if (grams.value === null) return null
  const gPerMl = drum.state.ml > 0 ? (1000 * (drum.state.kg - drum.tareKg)) / drum.state.ml : usualGPerMl
  return drumCheck({ ledgerMl: drum.state.ml, tareKg: drum.tareKg, readingKg: grams.value / 1000, gPerMl })
})
const entryId = uuid()
const { busy, problem, act } = useAction()
const wrong = ref('')
async function weigh(): Promise<void> {
  wrong.value = ''
  if (grams.value === null) return void (wrong.value = 'Say what the scales show.')
  const readingKg = grams.value / 1000
  if (await act(() => call(sinkApi.weigh, { params: { id: drum.id }, body: { entryId, readingKg } }))) emit('close')
}
</script>

<template>
  <FormPanel
    :title="`Weigh ${drum.code}`"
    yes="Write it down"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="weigh"
  >
    <QuantityField
      v-model="grams"
      kind="mass"
      label="The scales show"
      :hint="`with its cap; empty it is ${kilosIn(drum.tareKg, session.manner)}`"
      begin
    />
    <p v-if="check" class="text-lg">
      That is <b>{{ show.volume(check.ml) }}</b>; by its lines it holds {{ show.volume(drum.state.ml) }}.
    </p>
    <FindingList v-if="check" :findings="check.findings" />
    <p class="text-quiet">Two people, or a trolley: a full drum is heavy. Closed while it is moved.</p>
  </FormPanel>
</template>
