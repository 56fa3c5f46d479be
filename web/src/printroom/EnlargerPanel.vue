<script setup lang="ts">
import { dialMaxima, lampLag } from '@selvrin/core'
import { traysApi, type Enlarger } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { readFigure } from '../fields/figure'
import { useDevices } from '../stores'

/** An enlarger of the house. */
const { enlarger } = defineProps<{ enlarger: Enlarger | null }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const name = ref(enlarger?.name ?? '')
const kind = ref<'set' | 'single' | 'double' | null>(enlarger?.filters.kind ?? 'set')
const max = ref(String(enlarger && enlarger.filters.kind !== 'set' ? enlarger.filters.max : dialMaxima[1]))
const lag = ref(show.plain(enlarger?.lagS ?? 0))
const lenses = ref(enlarger?.lenses.map((one) => show.plain(one.focalMm)).join(', ') ?? '50')
const byHand = 'by hand'
const relayId = ref<string | null>(enlarger?.relayId ?? byHand)
const devices = useDevices()
onMounted(() => void devices.load())
const relays = computed(() => [
  { value: byHand, name: 'switched by hand' },
  ...devices.rows.filter((one) => one.kind === 'lamp').map(({ id: value, name: called }) => ({ value, name: called })),
])
const wrong = ref('')
const id = enlarger?.id ?? uuid()
const { busy, problem, current, act } = useAction()
/** an example of what measuring says */
const example = computed(() => show.number(lampLag(0.09), 2))
function lensesOf(): { name: string; focalMm: number }[] | null {
  const read = lenses.value
    .split(/[,;]\s+|\s+/)
    .filter(Boolean)
    .map((one) => readFigure(one))
  if (read.some((one) => !one)) return null
  return read.map((one) => ({ name: enlarger?.lenses.find((lens) => lens.focalMm === one)?.name ?? '', focalMm: one as number }))
}
async function keep(): Promise<void> {
  wrong.value = ''
  const [lagS, dials, own] = [readFigure(lag.value), readFigure(max.value), lensesOf()]
  if (lagS == null) return void (wrong.value = 'The lamp’s lag is a number of seconds such as 0.1, or 0.')
  if (kind.value !== 'set' && !dials) return void (wrong.value = 'Say what its dials count to.')
  if (!own) return void (wrong.value = 'Lenses are their focal lengths in mm, such as 50, 80.')
  const filters = kind.value === 'set' || kind.value === null ? { kind: 'set' as const } : { kind: kind.value, max: dials as number }
  const relay = relayId.value === byHand || relayId.value === null ? {} : { relayId: relayId.value }
  const body = { name: name.value, filters, lagS, lenses: own, ...relay }
  const version = (current.value as Enlarger | null)?.version ?? enlarger?.version
  const kept = await act(() =>
    version === undefined
      ? call(traysApi.addEnlarger, { body: { id, ...body } })
      : call(traysApi.changeEnlarger, { params: { id }, body: { version, ...body } }),
  )
  if (kept) emit('close')
}
</script>

<template>
  <FormPanel
    :title="enlarger ? `Change ${enlarger.name}` : 'A new enlarger'"
    yes="Keep it"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <TextField v-model="name" label="Name" begin />
    <ChoiceField
      v-model="kind"
      label="Grades are set by"
      :choices="[
        { value: 'set', name: 'filters of a set' },
        { value: 'single', name: 'a head, yellow or magenta' },
        { value: 'double', name: 'a head, yellow and magenta' },
      ]"
    />
    <TextField v-if="kind !== 'set'" v-model="max" label="Dials count to" :hint="dialMaxima.join(', ')" />
    <ChoiceField v-if="relays.length > 1" v-model="relayId" label="Its lamp is" :choices="relays" />
    <TextField v-model="lenses" label="Lenses" hint="mm, such as 50, 80" />
    <TextField
      v-model="lag"
      label="Lamp’s lag"
      :hint="`s. Ten seconds in one go beside ten times 1 + x: it is 10x/9 where they match; x of ${show.number(0.09, 2)} makes ${example}`"
    />
  </FormPanel>
</template>
