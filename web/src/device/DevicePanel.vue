<script setup lang="ts">
import { DomainError, plainPattern, readDeviceLine } from '@selvrin/core'
import { api, type Device, type DeviceKind } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import { readWhole } from '../fields/read'
import ReadField from '../fields/ReadField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'
import { useDevices } from '../stores'

const { device } = defineProps<{ device: Device | null }>()
const emit = defineEmits<{ close: [] }>()
const devices = useDevices()
const newId = uuid()
const form = useContractForm(api.device.add, {
  begin: () => ({
    id: device?.id ?? newId,
    kind: device?.kind ?? 'scale',
    name: device?.name ?? '',
    host: device?.host ?? '127.0.0.1',
    port: device?.port ?? null,
    pattern: device?.pattern ?? '^(?:(?<stable>ST)|US),(?<value>[+-]?\\d+(?:\\.\\d+)?),(?<unit>g)$',
    active: device?.active ?? true,
  }),
  send: async ({ id, ...facts }, theirs) => {
    await (device
      ? call(api.device.change, { params: { id }, body: { version: basedOn(device, theirs), ...facts } })
      : call(api.device.add, { body: { id, ...facts } }))
    await done()
  },
})
const { current, busy, rest } = form
const removing = useAction()
const sample = ref('ST,+0012.34,g')
const values = form.form.useStore((state) => state.values as { kind: DeviceKind | null; pattern: string })
const readPort = readWhole('Write the port as a whole number.')
const kinds = [
  { value: 'scale' as const, name: 'Scale' },
  { value: 'thermometer' as const, name: 'Thermometer' },
  { value: 'ph-meter' as const, name: 'pH meter' },
]
/** What the pattern makes of a line the device has sent. */
const tried = computed(() => {
  try {
    const read = readDeviceLine(plainPattern(values.value.pattern), sample.value, values.value.kind ?? 'scale')
    return read ? `read as ${read.value}${read.stable ? ', stable' : ', still moving'}` : 'does not fit the pattern'
  } catch (error) {
    return error instanceof DomainError || error instanceof SyntaxError ? 'the pattern is no regular expression' : 'cannot be read'
  }
})
async function remove(): Promise<void> {
  if (device && (await removing.act(() => call(api.device.remove, { params: { id: device.id }, body: { version: device.version } }))))
    await done()
}
async function done(): Promise<void> {
  await devices.load(true)
  emit('close')
}
</script>

<template>
  <FormPanel
    wide
    :title="device ? device.name : 'A device at the bench'"
    :yes="current ? 'Keep mine over theirs' : 'Keep'"
    :busy="busy"
    :problem="rest || removing.problem.value"
    @close="$emit('close')"
    @submit="form.submit()"
  >
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="form.fields" name="kind"><ChoiceField v-bind="bind" label="Kind" :choices="kinds" /></BodyField>
      <BodyField v-slot="{ bind }" :of="form.fields" name="name"><TextField v-bind="bind" label="Name" /></BodyField>
      <BodyField v-slot="{ bind }" :of="form.fields" name="host"><TextField v-bind="bind" label="Host" /></BodyField>
      <BodyField v-slot="{ bind }" :of="form.fields" name="port">
        <ReadField v-bind="bind" label="Port" :read="readPort" :write="String" />
      </BodyField>
    </div>
    <BodyField v-slot="{ bind }" :of="form.fields" name="pattern">
      <TextField v-bind="bind" label="Pattern of a line" hint="groups: value, unit, and stable where the device says so" />
    </BodyField>
    <TextField v-model="sample" label="Try a line it has sent" :hint="tried" />
    <BodyField v-slot="{ bind }" :of="form.fields" name="active"><SwitchField v-bind="bind" label="In use" /></BodyField>
    <template v-if="device" #apart>
      <button type="button" class="button ml-auto" :disabled="busy" @click="remove">Take {{ device.name }} off the bench</button>
    </template>
  </FormPanel>
</template>
