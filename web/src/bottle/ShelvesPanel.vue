<script setup lang="ts">
import { api, type Shelf } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import BodyField from '../fields/BodyField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useShow } from '../session/useShow'
import { useShelves } from '../stores'
import WaitFor from '../fields/WaitFor.vue'

/** The places bottles stand, with their temperature where somebody measured it. */
defineEmits<{ close: [] }>()
const show = useShow()
const shelves = useShelves()
onMounted(() => void shelves.load())
const { problem, act } = useAction()
const editing = ref<Shelf | null>(null)
const form = useContractForm(api.shelf.add, {
  begin: () => ({ id: editing.value?.id ?? uuid(), name: editing.value?.name ?? '', celsius: editing.value?.celsius ?? null }),
  send: async (body) => {
    const { id, ...facts } = body
    const { value: shelf } = editing
    const work = shelf
      ? call(api.shelf.change, { params: { id }, body: { version: shelf.version, ...facts } })
      : call(api.shelf.add, { body })
    // one that someone else changed meanwhile is shown as it is now
    await work.finally(() => shelves.load(true))
    editing.value = null
  },
})
function edit(shelf: Shelf): void {
  editing.value = shelf
  form.again()
}
async function remove(shelf: Shelf): Promise<void> {
  await act(() => call(api.shelf.remove, { params: { id: shelf.id }, body: { version: shelf.version } }))
  await shelves.load(true)
}
</script>

<template>
  <ModalPanel open wide title="Shelves" @close="$emit('close')">
    <WaitFor :of="[shelves]" what="the shelves">
      <ul class="mb-4 divide-y divide-line border-y border-line">
        <li v-for="shelf in shelves.rows" :key="shelf.id" class="flex flex-wrap items-center gap-4 py-1">
          <b class="min-w-40 flex-1 text-lg">{{ shelf.name }}</b>
          <span class="font-mono">{{ show.temperature(shelf.celsius) }}</span>
          <button class="link min-h-11" @click="edit(shelf)">Change {{ shelf.name }}</button>
          <button class="link min-h-11" @click="remove(shelf)">Take {{ shelf.name }} away</button>
        </li>
        <li v-if="shelves.loaded && shelves.rows.length === 0" class="py-3">None yet: bottles stand together until there is one.</li>
      </ul>
    </WaitFor>
    <form class="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)_auto] items-start gap-4 max-sm:grid-cols-1" @submit.prevent="form.submit()">
      <BodyField v-slot="{ bind }" :of="form.fields" name="name">
        <TextField v-bind="bind" :label="editing ? `${editing.name} is called` : 'A new shelf'" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="form.fields" name="celsius">
        <QuantityField v-bind="bind" kind="temperature" label="How warm, if measured" />
      </BodyField>
      <button class="button button-main mt-7" :disabled="form.busy.value">{{ editing ? 'Change it' : 'Add it' }}</button>
    </form>
    <ProblemLine :problem="form.rest.value || problem" class="mt-3" />
    <button class="button mt-5" @click="$emit('close')">Done</button>
  </ModalPanel>
</template>
