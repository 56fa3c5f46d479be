<script setup lang="ts">
import { drumLimitMl, drumNames, type Drum } from '@selvrin/core'
import { computed, watch } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { useShow } from '../session/useShow'
import { useSink } from './useSink'

/** The drum something goes into that is poured away with the same tap; or it waits in the sink. */
const { family, ml } = defineProps<{ family: Drum; ml: number }>()
const drumId = defineModel<string | null>({ required: true })
const show = useShow()
const view = useSink()
const later = 'later'
const can = computed(() =>
  view.drums.value.filter(
    (one) =>
      one.family === family &&
      one.labelledAt !== null &&
      (one.state.standing === 'open' || one.state.standing === 'empty') &&
      one.state.roomMl >= ml,
  ),
)
const choices = computed(() => [
  ...can.value.map((one) => ({
    value: one.id,
    name: `Drum ${one.code}, ${drumNames[family]}`,
    detail: `${show.volume(one.state.ml)} of ${show.volume(drumLimitMl(one))}`,
  })),
  {
    value: later,
    name: 'Later: it waits in the sink',
    detail: can.value.length === 0 ? `no labelled drum for ${drumNames[family]} has room` : '',
  },
])
/** what is proposed, until somebody chooses */
let chosen = false
watch(
  () => view.proposed(family, ml)?.id ?? null,
  (id) => void (!chosen && (drumId.value = id)),
  { immediate: true },
)
const value = computed({
  get: () => drumId.value ?? later,
  set: (id: string | null) => {
    chosen = true
    drumId.value = id === later ? null : id
  },
})
</script>

<template>
  <ChoiceField v-model="value" label="Into" :choices="choices" />
</template>
