<script setup lang="ts">
import type { EveningLoad } from '@selvrin/core'
import { eveningApi } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import { showDate } from '../marks/words'
import type { EveningView } from './useEvening'

/** A load goes to another evening, where it has no place yet. */
const { view, load } = defineProps<{ view: EveningView; load: EveningLoad }>()
const emit = defineEmits<{ close: []; sent: [] }>()
const { evening, house, names, time, busy, problem, act } = view
const page = usePage((signal) => call(eveningApi.list, { query: { limit: 60 }, signal }))
onMounted(() => void page.load())
const others = computed(() =>
  (page.value.value?.rows ?? [])
    .filter((one) => one.id !== evening.value?.id && one.closesAt > time.value)
    .sort((a, b) => a.opensAt - b.opensAt)
    .map((one) => ({ value: one.id, name: showDate(one.opensAt, house.value?.zone ?? 'UTC') })),
)
const to = ref<string | null>(null)
const chosen = computed(() => to.value ?? others.value[0]?.value ?? null)
async function send(): Promise<void> {
  const { value: now } = evening
  const { value: other } = chosen
  if (!now || other === null) return
  const good = await act(async () => {
    evening.value = await call(eveningApi.send, { params: { id: now.id, loadId: load.id }, body: { version: now.version, to: other } })
  })
  if (good) emit('sent')
}
</script>

<template>
  <FormPanel
    :title="`Another evening for ${names?.load(load.id)}`"
    yes="Send it there"
    :busy="busy"
    :problem="problem"
    :blocked="chosen === null"
    @close="$emit('close')"
    @submit="send"
  >
    <p v-if="page.value.value && others.length === 0" class="text-lg">No other evening is planned. Plan one on the Rota first.</p>
    <ChoiceField v-else :model-value="chosen" label="Evening" :choices="others" @update:model-value="to = $event" />
    <p class="text-quiet">It has no place there yet: arrange that evening, or give it one.</p>
  </FormPanel>
</template>
