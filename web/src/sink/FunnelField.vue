<script setup lang="ts">
import { drumNames } from '@selvrin/core'
import { sinkApi } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import type { SinkView } from './useSink'

/** Through which funnel: the drum's own, or one that goes from drum to drum and says what went through it last. */
const { view } = defineProps<{ view: SinkView }>()
const funnelId = defineModel<string | null>({ required: true })
const own = 'own'
const chosen = computed({ get: () => funnelId.value ?? own, set: (value) => (funnelId.value = value === own ? null : value) })
const funnels = computed(() => view.sink.value?.funnels ?? [])
const funnel = computed(() => funnels.value.find((one) => one.id === funnelId.value))
const choices = computed(() => [
  { value: own, name: 'The drum’s own' },
  ...funnels.value.map((one) => ({
    value: one.id,
    name: one.name,
    detail: one.last === null ? 'rinsed' : `last: ${drumNames[one.last.family]}, not rinsed since`,
  })),
])
const { busy, problem, act } = useAction({ keeps: false })
const rinsed = () =>
  act(async () => {
    if (!funnel.value) return
    await call(sinkApi.rinsed, { params: { id: funnel.value.id }, body: { version: funnel.value.version } })
    await view.page.load()
  })
</script>

<template>
  <div>
    <ChoiceField v-model="chosen" label="Funnel" :choices="choices" />
    <ProblemLine :problem="problem" />
    <button v-if="funnel?.last" type="button" class="button mt-2" :disabled="busy" @click="rinsed">It is rinsed now</button>
  </div>
</template>
