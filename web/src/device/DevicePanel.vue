<script setup lang="ts">
import { DomainError, plainPattern, readDeviceLine } from '@selvrin/core'
import { api, type Device, type DeviceKind } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, reactive } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useDevices } from '../stores'

const { device } = defineProps<{ device: Device | null }>()
const emit = defineEmits<{ close: [] }>()
const devices = useDevices()
const { busy, problem, field, current, act } = useAction()
const newId = uuid()
const draft = reactive({
  kind: (device?.kind ?? 'scale') as DeviceKind | null,
  name: device?.name ?? '',
  host: device?.host ?? '127.0.0.1',
  port: String(device?.port ?? ''),
  pattern: device?.pattern ?? '^(?:(?<stable>ST)|US),(?<value>[+-]?\\d+(?:\\.\\d+)?),(?<unit>g)$',
  active: device?.active ?? true,
  sample: 'ST,+0012.34,g',
})
const kinds = [
  { value: 'scale' as const, name: 'Scale' },
  { value: 'thermometer' as const, name: 'Thermometer' },
  { value: 'ph-meter' as const, name: 'pH meter' },
]
/** What the pattern makes of a line the device has sent. */
const tried = computed(() => {
  try {
    const read = readDeviceLine(plainPattern(draft.pattern), draft.sample, draft.kind ?? 'scale')
    return read ? `read as ${read.value}${read.stable ? ', stable' : ', still moving'}` : 'does not fit the pattern'
  } catch (error) {
    return error instanceof DomainError || error instanceof SyntaxError ? 'the pattern is no regular expression' : 'cannot be read'
  }
})
async function keep(): Promise<void> {
  const { kind, name, host, pattern, active } = draft
  const port = Number(draft.port)
  if (kind === null || !Number.isInteger(port)) {
    problem.value = 'Choose the kind and write the port as a number.'
    return
  }
  const facts = { kind, name, host, port, pattern, active }
  const theirs = current.value as Device | null
  const good = await act(() =>
    device
      ? call(api.device.change, { params: { id: device.id }, body: { version: theirs?.version ?? device.version, ...facts } })
      : call(api.device.add, { body: { id: newId, ...facts } }),
  )
  if (good) await done()
}
async function remove(): Promise<void> {
  if (device && (await act(() => call(api.device.remove, { params: { id: device.id }, body: { version: device.version } })))) await done()
}
async function done(): Promise<void> {
  await devices.load(true)
  emit('close')
}
</script>

<template>
  <ModalPanel open wide :title="device ? device.name : 'A device at the bench'" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="keep">
      <div class="grid grid-cols-2 gap-4">
        <ChoiceField v-model="draft.kind" label="Kind" :choices="kinds" />
        <TextField v-model="draft.name" label="Name" :problem="field === 'name' ? problem : ''" />
        <TextField v-model="draft.host" label="Host" :problem="field === 'host' ? problem : ''" />
        <TextField v-model="draft.port" label="Port" :problem="field === 'port' ? problem : ''" />
      </div>
      <TextField
        v-model="draft.pattern"
        label="Pattern of a line"
        hint="groups: value, unit, and stable where the device says so"
        :problem="field === 'pattern' ? problem : ''"
      />
      <TextField v-model="draft.sample" label="Try a line it has sent" :hint="tried" />
      <SwitchField v-model="draft.active" label="In use" />
      <ProblemLine :problem="['name', 'host', 'port', 'pattern'].includes(field) ? '' : problem" />
      <div class="flex flex-wrap gap-3">
        <button class="button button-main" :disabled="busy">{{ current ? 'Keep mine over theirs' : 'Keep' }}</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
        <button v-if="device" type="button" class="button ml-auto" :disabled="busy" @click="remove">
          Take {{ device.name }} off the bench
        </button>
      </div>
    </form>
  </ModalPanel>
</template>
