<script setup lang="ts">
import { drumNames, type Drum } from '@selvrin/core'
import { sinkApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'
import { useSink } from './useSink'

/** What no ledger knows of goes into the drum that is proposed for it, with one tap. */
const {
  title,
  family,
  metal = null,
  ml: firstMl,
  silverG = 0,
  source,
  note = '',
} = defineProps<{
  title: string
  family: Drum
  metal?: string | null
  ml: number
  silverG?: number
  source: 'tray' | 'wash'
  note?: string
}>()
const show = useShow()
const view = useSink()
const ml = ref<number | null>(firstMl)
const drum = computed(() => view.proposed(family, ml.value ?? 0, metal))
const kind = computed(() => (metal ? `${drumNames[family]}, ${metal}` : drumNames[family]))
const poured = ref('')
const { busy, problem, act } = useAction({ keeps: false })
let entryId = uuid()
async function pour(): Promise<void> {
  const into = drum.value
  if (!into || !ml.value) return
  const other = { entryId, family, source, ml: ml.value, silverG, metal, note: `${title}${note ? `, ${note}` : ''}` }
  const body = { waste: [], other, ph: null, funnelId: null }
  if (!(await act(() => call(sinkApi.pour, { params: { id: into.id }, body })))) return
  poured.value = `${show.volume(ml.value)} into drum ${into.code}`
  entryId = uuid()
  await view.page.load()
}
</script>

<template>
  <div class="border-b border-line py-2">
    <p class="text-lg font-bold">{{ title }}</p>
    <div class="flex flex-wrap items-center gap-3">
      <QuantityField v-model="ml" kind="volume" label="How much" class="max-w-40" />
      <button v-if="drum" type="button" class="button" :disabled="busy || !ml" @click="pour">
        Into drum {{ drum.code }}<span class="sr-only">: {{ title }}</span>
      </button>
      <p v-else-if="view.sink.value" class="pb-2 font-semibold">
        ▲ No labelled drum for {{ kind }} has room: <RouterLink to="/sink" class="link">to the Sink</RouterLink>.
      </p>
      <p v-if="poured" class="pb-2 font-semibold" role="status">✓ {{ poured }}</p>
    </div>
    <p v-if="drum" class="text-quiet">{{ kind }}; {{ show.volume(drum.state.roomMl) }} more go in. Gloves and goggles on.</p>
    <ProblemLine :problem="problem" />
  </div>
</template>
