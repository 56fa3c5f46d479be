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
import QuantityField from '../fields/QuantityField.vue'
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
    command: device?.command ?? '',
    water: device?.water ?? null,
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
const values = form.form.useStore((state) => state.values as { kind: DeviceKind | null; pattern: string; water: Device['water'] })
const isBath = computed(() => values.value.kind === 'bath')
/** what a field leaves out of a bath that is none */
const litres = computed({
  get: () => (values.value.water ? values.value.water.litres * 1000 : null),
  set: (ml: number | null) =>
    form.form.setFieldValue('water', ml === null ? null : { litres: ml / 1000, covered: values.value.water?.covered ?? false }),
})
const covered = computed({
  get: () => values.value.water?.covered ?? false,
  set: (on: boolean) => form.form.setFieldValue('water', { litres: values.value.water?.litres ?? 20, covered: on }),
})
const readPort = readWhole('Write the port as a whole number.')
const kinds = [
  { value: 'scale' as const, name: 'Scale' },
  { value: 'thermometer' as const, name: 'Thermometer' },
  { value: 'ph-meter' as const, name: 'pH meter' },
  { value: 'bath' as const, name: 'Tempering bath' },
  { value: 'lamp' as const, name: 'Enlarger’s lamp, by relay' },
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
    <template v-if="isBath">
      <p class="text-quiet">Groups of its pattern: value and unit, set for what it is set to, heater for the share of its heater.</p>
      <BodyField v-slot="{ bind }" :of="form.fields" name="command">
        <TextField v-bind="bind" label="How it is set" hint="{c} stands for °C, such as W {c}; left empty, it is set by hand" />
      </BodyField>
      <div class="grid grid-cols-2 items-end gap-4">
        <QuantityField v-model="litres" kind="volume" label="Water in it" />
        <SwitchField v-model="covered" label="Covered" />
      </div>
    </template>
    <BodyField v-if="values.kind === 'lamp'" v-slot="{ bind }" :of="form.fields" name="command">
      <TextField v-bind="bind" label="How it is switched on" hint="{s} stands for seconds, such as E {s}; its value is the seconds left" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="form.fields" name="active"><SwitchField v-bind="bind" label="In use" /></BodyField>
    <template v-if="device" #apart>
      <button type="button" class="button ml-auto" :disabled="busy" @click="remove">Take {{ device.name }} off the bench</button>
    </template>
  </FormPanel>
</template>
