<script setup lang="ts">
import { type Container } from '@selvrin/core'
import { api, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import { useContractForm } from '../fields/useContractForm'
import { useShow } from '../session/useShow'
import { useShelves } from '../stores'

/** Where and how it stands: both set how fast it ages. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const show = useShow()
const shelves = useShelves()
onMounted(() => void shelves.load())
const places = computed(() => shelves.rows.map((one) => ({ value: one.id, name: one.name, detail: show.temperature(one.celsius) })))
const containers: { value: Container; name: string; detail: string }[] = [
  { value: 'bottle', name: 'In its bottle', detail: 'with the air above it' },
  { value: 'airless', name: 'Air pressed or purged out', detail: 'ages like a full bottle' },
  { value: 'tray', name: 'In an open tray', detail: 'ages by the hour' },
]
const { fields, busy, rest, submit } = useContractForm(api.bottle.move, {
  begin: () => ({ entryId: uuid(), shelfId: bottle.shelfId ?? undefined, container: bottle.state.container }),
  send: async ({ entryId, shelfId, container }) => {
    // what stays is not written down
    const body = {
      entryId,
      ...(shelfId === undefined || shelfId === bottle.shelfId ? {} : { shelfId }),
      ...(container === bottle.state.container ? {} : { container }),
    }
    await call(api.bottle.move, { params: { id: bottle.id }, body })
    emit('done')
  },
})
</script>

<template>
  <FormPanel
    :title="`Move ${bottle.label} ${bottle.name}`"
    yes="Move it"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <BodyField v-slot="{ bind }" :of="fields" name="shelfId">
      <ChoiceField v-bind="bind" label="Shelf" :choices="places" placeholder="on no shelf yet" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="container">
      <ChoiceField v-bind="bind" label="It stands" :choices="containers" />
    </BodyField>
    <p class="text-quiet">{{ show.said('Above 25 °C everything keeps half as long') }} for each {{ show.degrees(10) }}.</p>
  </FormPanel>
</template>
