<script setup lang="ts">
import { type Container } from '@selvrin/core'
import { api, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useShow } from '../session/useShow'
import { useShelves } from '../stores'

/** Where and how it stands: both set how fast it ages. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const show = useShow()
const shelves = useShelves()
onMounted(() => void shelves.load())
const { busy, problem, act } = useAction()
const entryId = uuid()
const shelf = ref<string | null>(bottle.shelfId)
const container = ref<Container | null>(bottle.state.container)
const places = computed(() => shelves.rows.map((one) => ({ value: one.id, name: one.name, detail: show.temperature(one.celsius) })))
const containers: { value: Container; name: string; detail: string }[] = [
  { value: 'bottle', name: 'In its bottle', detail: 'with the air above it' },
  { value: 'airless', name: 'Air pressed or purged out', detail: 'ages like a full bottle' },
  { value: 'tray', name: 'In an open tray', detail: 'ages by the hour' },
]
async function write(): Promise<void> {
  const body = {
    entryId,
    ...(shelf.value !== null && shelf.value !== bottle.shelfId ? { shelfId: shelf.value } : {}),
    ...(container.value !== null && container.value !== bottle.state.container ? { container: container.value } : {}),
  }
  const good = await act(() => call(api.bottle.move, { params: { id: bottle.id }, body }))
  if (good) emit('done')
}
</script>

<template>
  <ModalPanel open :title="`Move ${bottle.label} ${bottle.name}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="write">
      <ChoiceField v-model="shelf" label="Shelf" :choices="places" placeholder="on no shelf yet" />
      <ChoiceField v-model="container" label="It stands" :choices="containers" />
      <p class="text-quiet">{{ show.said('Above 25 °C everything keeps half as long') }} for each {{ show.degrees(10) }}.</p>
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Move it</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
